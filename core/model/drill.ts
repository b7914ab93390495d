import * as z from 'zod';
import { FaultIdSchema } from './faults';
import { PHASES } from './phases';

/** How hard men meet in a drill, the softest first, and what has to be worn for it at least. A program may ask for more. */
export const CONTACTS = {
  none: { name: 'no contact', gear: 'nothing' },
  shield: { name: 'bags and shields', gear: 'helmets' },
  thud: { name: 'thud', gear: 'shoulder pads' },
  live: { name: 'live', gear: 'full gear' },
} as const;
export type Contact = keyof typeof CONTACTS;
export const CONTACT_IDS = Object.keys(CONTACTS) as [Contact, ...Contact[]];
/** What is worn at practice, the lightest first. */
export const GEARS = ['nothing', 'helmets', 'shoulder pads', 'full gear'] as const;
export type Gear = (typeof GEARS)[number];
/** Is enough worn for so much contact? */
export const isWornFor = (gear: Gear, contact: Contact): boolean =>
  GEARS.indexOf(gear) >= GEARS.indexOf(CONTACTS[contact].gear);
/** Men meet men: what contact limits count. */
export const isContact = (contact: Contact): boolean => contact === 'thud' || contact === 'live';

/** What a program may do or not: equipment and drills on which houses differ. */
export const HOUSE_RULES = {
  chute: 'the chute',
  boards: 'boards',
  sled: 'the sled',
  shields: 'hand shields and bags',
  'one-on-one': 'one on one',
} as const;
export type HouseRule = keyof typeof HOUSE_RULES;
export const HOUSE_RULE_IDS = Object.keys(HOUSE_RULES) as [HouseRule, ...HouseRule[]];

/** What has to be in every day, one drill of each. */
export const DAILY = {
  opening: 'the same opening every day',
  doubles: 'doubles every day',
  sets: 'sets every day',
  twists: 'twists every day while they come',
} as const;
export type Daily = keyof typeof DAILY;
export const DAILY_IDS = Object.keys(DAILY) as [Daily, ...Daily[]];

/** What opponents do that a drill prepares for. */
export const THEIR_WAYS = ['slant', 'twist', 'blitz', 'edge'] as const;
export type TheirWay = (typeof THEIR_WAYS)[number];

export const DRILL_KINDS = ['opening', 'everyday', 'technique', 'pass', 'exchange'] as const;

const words = z.array(z.string().trim().min(1).max(120)).max(12);
const men = z.int().min(0).max(11);
/** A drill as data: what it is for, how it is run, and what to be careful with. */
export const DrillSchema = z.object({
  id: z.string().regex(/^[a-z][a-z0-9-]{1,39}$/, 'small letters, digits and hyphens'),
  name: z.string().trim().min(2).max(60),
  purpose: z.string().trim().min(5).max(300),
  kind: z.enum(DRILL_KINDS),
  /** Blocks whose technique it teaches; none: what every block begins or ends with. */
  blocks: z.array(z.string().max(30)).max(40),
  /** Parts of those blocks, which are the items men are graded on. */
  phases: z.array(z.enum(PHASES)).min(1),
  /** Faults it mends. */
  faults: z.array(FaultIdSchema).max(20),
  /** Its variants, the easiest first. */
  ladder: words.min(1),
  equipment: words,
  /** For which parts of the line; none: for everybody. */
  units: z.array(z.string().max(40)).max(8),
  /** Men who do a rep together, and men who hold, rush or run for them. */
  each: men.min(1),
  extras: men,
  /** Most groups at the same time; `null` for as many as there are men. */
  atOnce: z.int().min(1).max(12).nullable(),
  minutes: z.object({ least: z.int().min(1).max(30), usual: z.int().min(1).max(30) }),
  /** Reps a minute of one group. */
  pace: z.number().positive().max(20),
  contact: z.enum(CONTACT_IDS),
  /** Ids of what to be careful with. */
  cautions: z.array(z.string().max(30)).max(8),
  house: z.enum([...HOUSE_RULE_IDS, 'none']),
  daily: z.enum(DAILY_IDS).nullable(),
  answers: z.array(z.enum(THEIR_WAYS)).max(THEIR_WAYS.length),
  /** The lowest level of play it is offered at. */
  lowest: z.enum(['youth', 'school', 'adult']),
  /** Never without a coach at it. */
  watched: z.boolean(),
  /** Men who meet are matched for size. */
  pairs: z.boolean(),
});
export type Drill = z.infer<typeof DrillSchema>;
