import * as z from 'zod';
import { DaySchema } from '../model/day';

/** How a man was at practice, with what it says. */
export const HERE = { here: 'here', limited: 'limited', away: 'away' } as const;
export type Here = keyof typeof HERE;
export const HERE_IDS = Object.keys(HERE) as [Here, ...Here[]];

/** What is written down of a man on a day. */
export const PresenceSchema = z.object({
  playerId: z.int().positive(),
  here: z.enum(HERE_IDS),
  note: z.string().trim().max(200).default(''),
});
export type Presence = z.infer<typeof PresenceSchema>;
/** One day: what is written down, and of every man on how many days he was there of how many that were written down. */
export const AttendanceDaySchema = z.object({
  day: DaySchema,
  men: z.array(PresenceSchema),
  days: z.array(z.object({ playerId: z.int(), there: z.int(), of: z.int() })),
});
export type AttendanceDay = z.infer<typeof AttendanceDaySchema>;

/** A day's men in a few words: "18 here, 2 limited, 1 away". */
export function sayPresent(men: readonly Pick<Presence, 'here'>[]): string {
  const count = (is: Here): number => men.filter((m) => m.here === is).length;
  return HERE_IDS.filter((is) => is === 'here' || count(is) > 0)
    .map((is) => `${count(is)} ${HERE[is]}`)
    .join(', ');
}
