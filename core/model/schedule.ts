import * as z from 'zod';
import { DaySchema } from './day';

export const SeasonNameSchema = z.string().trim().min(1, 'a name').max(40);
/** A game as it stands in the schedule. */
export const ScheduledSchema = z.object({
  opponent: z.string().trim().min(1, 'a name').max(80),
  week: z.int().min(0).max(60),
  /** The day, as 2026-11-27. */
  playedOn: DaySchema.nullable().default(null),
});
export type Scheduled = z.infer<typeof ScheduledSchema>;
/** A game that is added: one of ours, or one of an opponent's that is watched to see what he does. */
export const NewGameSchema = ScheduledSchema.extend({
  /** Against whom the opponent plays; `null` where it is against us. */
  theirs: z.string().trim().min(1, 'a name').max(80).nullable().default(null),
});
export type NewGame = z.infer<typeof NewGameSchema>;
export const ScheduleSchema = z.object({
  /** The newest first: that one is played now, the others are kept. */
  seasons: z.array(z.object({ id: z.int(), name: z.string(), games: z.int() })),
  /** Games of the newest season. */
  games: z.array(ScheduledSchema.extend({ id: z.int(), snaps: z.int(), films: z.int() })),
});
export type Schedule = z.infer<typeof ScheduleSchema>;

/**
 * The game that is ahead: of those without a snap the first whose day has not passed, or that has no day and comes after everything that was
 * played; `null` when nothing is. `today` is a day such as 2026-11-27.
 */
export function gameAhead<
  G extends { readonly week: number; readonly snaps: number; readonly playedOn: string | null },
>(games: readonly G[], today: string): G | null {
  const played = Math.max(-1, ...games.filter((g) => g.snaps > 0).map((g) => g.week));
  const ahead = games.filter((g) => g.snaps === 0 && (g.playedOn === null ? g.week > played : g.playedOn >= today));
  return ahead.reduce<G | null>((first, g) => (first && first.week <= g.week ? first : g), null);
}
