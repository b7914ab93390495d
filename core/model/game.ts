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
  /** Against whom the opponent plays, where it is a game of his: neither line of it is graded. */
  theirs: z.string().optional(),
});
export type GameItem = z.infer<typeof GameItemSchema>;

/** "week 5, Fennick Otters"; of a game of theirs "week 5, Quillport Terns against Graymoor Millers". */
export const sayGame = (game: Pick<GameItem, 'week' | 'opponent' | 'theirs'>, word: 'week' | 'Week' = 'week'): string =>
  `${word} ${game.week}, ${sayWhose(game)}`;

/** Whom we play, or who plays whom: "Quillport Terns against Graymoor Millers". */
export const sayWhose = ({ opponent, theirs }: Pick<GameItem, 'opponent' | 'theirs'>): string =>
  theirs ? `${opponent} against ${theirs}` : opponent;

/** The game of ours that was played last: the newest that is not still ahead; of games without a day nobody knows that they are. */
export function newestPlayed<G extends { readonly playedOn?: string | null; readonly theirs?: string | null }>(
  games: readonly G[],
  today: string,
): G | null {
  const ours = games.filter((g) => !g.theirs);
  return [...ours].reverse().find((g) => !g.playedOn || g.playedOn <= today) ?? ours.at(-1) ?? null;
}

/** The game whose film somebody opens who says nothing: the last one of ours that has snaps, else the last one. */
export function latestGame(games: readonly GameItem[]): GameItem | null {
  const ours = games.filter((g) => !g.theirs);
  return [...ours].reverse().find((g) => g.snaps > 0) ?? ours.at(-1) ?? games.at(-1) ?? null;
}

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
