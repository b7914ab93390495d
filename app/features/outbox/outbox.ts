import { clear, createStore, delMany, entries, set, type UseStore } from 'idb-keyval';
import type * as z from 'zod';

/** Entries that lie on the device until the server has them, each in a place of its own. */
export interface Outbox<T> {
  put(key: string, entry: T): Promise<void>;
  /** Whatever lies there; what nobody can read is left alone. */
  all(): Promise<T[]>;
  drop(keys: readonly string[]): Promise<void>;
  clear(): Promise<void>;
}

/** Some browsers give no database: then nothing lies on the device, and what is done there is in memory alone. */
const isThere = (): boolean => typeof indexedDB !== 'undefined';

/** A box of its own in the browser's database, its entries read by their schema. */
export function outbox<T>(name: string, schema: z.ZodType<T>): Outbox<T> {
  let store: UseStore | null = null;
  const box = (): UseStore => (store ??= createStore(`violet-chalk-${name}`, 'entries'));
  return {
    put: async (key, entry) => (isThere() ? set(key, entry, box()) : undefined),
    all: async () =>
      (isThere() ? await entries<string, unknown>(box()) : []).flatMap(([, value]) => {
        const read = schema.safeParse(value);
        return read.success ? [read.data] : [];
      }),
    drop: async (keys) => (isThere() ? delMany([...keys], box()) : undefined),
    clear: async () => (isThere() ? clear(box()) : undefined),
  };
}
