import { howMany } from '#core/vocabulary/how-many';
import * as z from 'zod';
import { GradeEntrySchema, OtherMarkSchema, SheetSchema } from '#core/model/grade-entry';

/** Why a mark lies aside: somebody has to look at it before it goes on. */
export const AsideSchema = z.object({
  kind: z.enum(['call', 'marks', 'refused']),
  says: z.string(),
  /** What the server has instead, and against which call. */
  other: OtherMarkSchema.nullable(),
  snapRevision: z.int(),
});

/** A mark on its way to the server, as it is kept on this machine. */
export const WaitingSchema = z.object({
  programId: z.int(),
  userId: z.int(),
  snapId: z.int(),
  snapNumber: z.int(),
  snapRevision: z.int(),
  sheet: SheetSchema,
  entry: GradeEntrySchema,
  /** In which order marks were given; the machine's clock, milliseconds. */
  at: z.number(),
  aside: AsideSchema.nullable(),
});
export type Waiting = z.infer<typeof WaitingSchema>;
export type Aside = z.infer<typeof AsideSchema>;

/** Whose marks these are: nobody else on this machine sends them. */
export interface Owner {
  readonly programId: number;
  readonly userId: number;
}

type Place = Pick<Waiting, 'programId' | 'userId' | 'snapId' | 'sheet'> & { entry: { blocker: string } };
/** One mark of a man on a snap waits at a time; this is where it lies. */
export const keyOf = ({ programId, userId, snapId, sheet, entry }: Place): string =>
  [programId, userId, snapId, sheet, entry.blocker].join('/');

/** What waits once newer marks are in: each takes the place of an older one of its man. */
export function inPlaceOf(older: readonly Waiting[], newer: readonly Waiting[]): Waiting[] {
  const places = new Set(newer.map(keyOf));
  return [...older.filter((w) => !places.has(keyOf(w))), ...newer];
}

/** The mark that takes another's place while that may be on its way: it stands on the same ground and says whom it replaces. */
export function replacing(older: Waiting | null, newer: Waiting): Waiting {
  if (!older || older.aside) return newer;
  const follows = [...older.entry.follows, older.entry.entry].slice(-50);
  return { ...newer, snapRevision: older.snapRevision, entry: { ...newer.entry, base: older.entry.base, follows } };
}

/** What is sent next: the oldest mark's snap with all that waits on it, so that a snap is never half saved. */
export function nextBatch(waiting: readonly Waiting[]): Waiting[] {
  const going = waiting.filter((w) => !w.aside).sort((a, b) => a.at - b.at);
  const first = going[0];
  return going.filter(
    (w) => w.snapId === first?.snapId && w.sheet === first.sheet && w.snapRevision === first.snapRevision,
  );
}

export const sayWaiting = (n: number): string => `${howMany(n, 'mark')} ${n === 1 ? 'is' : 'are'}`;
