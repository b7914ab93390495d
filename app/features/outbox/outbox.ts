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

/** A box of its own in the browser's database, its entries read by their schema. */
export function outbox<T>(name: string, schema: z.ZodType<T>): Outbox<T> {
  let store: UseStore | null = null;
  const box = (): UseStore => (store ??= createStore(`violet-chalk-${name}`, 'entries'));
  return {
    put: (key, entry) => set(key, entry, box()),
    all: async () =>
      (await entries<string, unknown>(box())).flatMap(([, value]) => {
        const read = schema.safeParse(value);
        return read.success ? [read.data] : [];
      }),
    drop: (keys) => delMany([...keys], box()),
    clear: () => clear(box()),
  };
}
