import { useLocalStorage } from '@vueuse/core';
import type { Ref } from 'vue';
import * as z from 'zod';
import { LogEntrySchema } from '#core/model/game';

const BegunSchema = z.object({ userId: z.int(), gameId: z.int(), entry: LogEntrySchema });
/** A snap that somebody has begun to write down and not logged yet. */
export type Begun = z.infer<typeof BegunSchema>;

/** Reads what was kept; what no build can read any more is nothing. */
export function readBegun(text: string): Begun | null {
  try {
    return BegunSchema.nullable().parse(JSON.parse(text));
  } catch {
    return null;
  }
}

/** The snap begun on this machine: a reload or a crash takes none of it. Whoever logs out takes it away. */
export const useBegun = (): Ref<Begun | null> =>
  useLocalStorage<Begun | null>('violet-chalk-log-begun', null, {
    shallow: true,
    serializer: { read: readBegun, write: (begun) => JSON.stringify(begun) },
  });
