import * as z from 'zod';
import { PersonNameSchema } from '../model/person-name';

/** A place in a line-up as the notation names it: LT, C, Y, QB. */
export const SeatSchema = z.string().regex(/^[A-Z][A-Z0-9]{0,2}$/, 'a place such as LT, C or Y');

/** A man of the roster as he is written down. */
export const NewPlayerSchema = z.object({
  name: PersonNameSchema,
  number: z.int('a number from 0 to 99').min(0, 'a number from 0 to 99').max(99, 'a number from 0 to 99'),
  /** Where he usually plays; empty for one who is nobody's first choice. */
  seat: z.union([SeatSchema, z.literal('')]).default(''),
  /** Where else he can play. */
  seats: z.array(SeatSchema).max(12).default([]),
  /** Where he plays on defence, in the team's words; empty for one who does not. */
  defence: z.string().trim().max(20).default(''),
  /** Pounds, so that men who meet in practice can be matched; `null` when nobody has written it down. */
  weight: z
    .int('a weight in whole pounds')
    .min(60, 'from 60 pounds')
    .max(600, 'to 600 pounds')
    .nullable()
    .default(null),
});
export type NewPlayer = z.infer<typeof NewPlayerSchema>;

export const PlayerSchema = NewPlayerSchema.extend({
  id: z.int(),
  /** Has left the team; his grades stay. */
  left: z.boolean(),
});
export type Player = z.infer<typeof PlayerSchema>;

/** Everywhere a man can play, his usual place first. */
export const placesOf = ({ seat, seats }: Pick<NewPlayer, 'seat' | 'seats'>): string[] =>
  [...new Set([seat, ...seats])].filter(Boolean);
