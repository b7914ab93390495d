import * as z from 'zod';
import { DaySchema } from './day';
import { GradeSchema } from './grade';
import { CallSchema, LoggedSchema, SituationSchema } from './snap';
import { AngleSchema } from './angle';

/** A game as lists show it. */
export const GameItemSchema = z.object({
  id: z.int(),
  opponent: z.string(),
  week: z.int(),
  published: z.boolean(),
  snaps: z.int(),
  /** Which season it was in, where that is not the one played now. */
  season: z.string().optional(),
  /** The day it is or was played, where that is known. */
  playedOn: DaySchema.optional(),
});
export type GameItem = z.infer<typeof GameItemSchema>;

/** The game that was played last: the newest that is not still ahead; of games without a day nobody knows that they are. */
export const newestPlayed = <G extends { readonly playedOn?: string | null }>(
  games: readonly G[],
  today: string,
): G | null => [...games].reverse().find((g) => !g.playedOn || g.playedOn <= today) ?? games.at(-1) ?? null;

/** The game whose film somebody opens who says nothing: the last one that has snaps, else the last one. */
export const latestGame = (games: readonly GameItem[]): GameItem | null =>
  [...games].reverse().find((g) => g.snaps > 0) ?? games.at(-1) ?? null;

export const MarkedSchema = z.object({ blocker: z.string(), grade: GradeSchema });

/** What one man was asked to do, in short. */
export const AskedItemSchema = z.object({ blocker: z.string(), block: z.string(), partners: z.array(z.string()) });
export type AskedItem = z.infer<typeof AskedItemSchema>;

/** What a log writes down of a snap, by its number in the game. */
export const LogEntrySchema = z.object({
  number: z.int().min(1).max(400),
  call: CallSchema,
  situation: SituationSchema,
  logged: LoggedSchema.prefault({}),
});
export type LogEntry = z.infer<typeof LogEntrySchema>;

/** A snap as lists show it. */
export const SnapItemSchema = LogEntrySchema.extend({
  id: z.int(),
  asked: z.array(AskedItemSchema),
  graded: z.array(MarkedSchema),
  /** From where it is filmed. */
  angles: z.array(AngleSchema),
});
export type SnapItem = z.infer<typeof SnapItemSchema>;
