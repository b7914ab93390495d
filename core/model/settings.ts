import * as z from 'zod';
import { SideSchema } from './side';

/**
 * The program's schools and limits. Everything a coach may see differently is a named setting with a shipped value;
 * distances in feet, times in seconds.
 */
export const SettingsSchema = z.object({
  /** How strength is found: the tight end first, the wide side of the field, or as called. */
  strength: z.enum(['tight-end', 'field', 'called']).default('tight-end'),
  /** The wide side of the field, or the side called, for the two schools that need it. */
  strengthSide: SideSchema.nullable().default(null),
  /** From whom the box is measured. */
  box: z.enum(['tackle', 'tight-end']).default('tackle'),
  /** Who is the Mike of two or four linebackers. */
  mike: z.enum(['strength', 'nearest', 'weak']).default('strength'),
  /** Which words techniques are shown in. */
  techniques: z.enum(['standard', 'shade-nose', 'seven-inside', 'seven-gap']).default('standard'),
  /** The coach's yardage standard for a good run. */
  standardYards: z.coerce.number().min(0).max(20).default(4),
  /** A lone first-level block farther to the side than this is at risk. */
  reachLimit: z.coerce.number().min(1).max(15).default(5),
  /** The same on zone tracks, to the play side. */
  zoneReachLimit: z.coerce.number().min(1).max(15).default(6.5),
  /** A puller later than the man he is to meet by more than this loses the race. */
  pullMargin: z.coerce.number().min(0).max(2).default(0.2),
  /** A linebacker at this depth or less (yards) can run through a gap a puller left. */
  vacatedDepth: z.coerce.number().min(0).max(8).default(3),
});
export type Settings = z.infer<typeof SettingsSchema>;

/** The shipped settings. */
export const SHIPPED_SETTINGS: Settings = Object.freeze(SettingsSchema.parse({}));
