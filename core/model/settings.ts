import * as z from 'zod';
import { SideSchema } from './side';
import { schoolsOf } from './technique-schools';

/** Places on the line by their shipped words. */
export const TECHNIQUE_NAMES = ['0', '1', '2i', '2', '3', '4i', '4', '5', '6i', '6', '9', 'A', 'B', 'C', 'D'] as const;
const isTechnique = (word: string): boolean => (TECHNIQUE_NAMES as readonly string[]).includes(word);

/** "2i=1, 1=shade" as it is typed on a command line; anything else as it is. */
const typedAliases = (value: unknown): unknown =>
  typeof value === 'string'
    ? Object.fromEntries(
        value
          .split(',')
          .map((pair) => pair.split('=').map((w) => w.trim()))
          .filter((p) => p[0]),
      )
    : value;

/** A team's own words for places, by the shipped word. Two places never share a word. */
const AliasesSchema = z
  .preprocess(
    typedAliases,
    z.record(z.string(), z.string().regex(/^[\p{L}\p{N}]{1,8}$/u, 'one word of letters and digits')),
  )
  .superRefine((aliases, context) => {
    const said = new Map<string, string>();
    for (const word of Object.keys(aliases))
      if (!isTechnique(word))
        context.addIssue({ code: 'custom', path: [word], message: `there is no technique "${word}"` });
    for (const word of TECHNIQUE_NAMES) {
      const own = aliases[word] ?? word;
      const other = said.get(own);
      if (other !== undefined)
        context.addIssue({ code: 'custom', path: [word], message: `"${own}" is said for ${other} already` });
      said.set(own, word);
    }
  });

/** How somebody of the team gets going, as it was measured: seconds, ft/s2, ft/s. */
export const MeasuredMoverSchema = z.object({
  delay: z.coerce.number().min(0).max(1),
  acceleration: z.coerce.number().min(3).max(30),
  topSpeed: z.coerce.number().min(5).max(36),
});

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
  /** The team's own words over that school's. */
  aliases: AliasesSchema.default({}),
  /** Room between two neighbours of the line, inches, where a formation of the playbook does not say its own. */
  splitInches: z.coerce.number().int().min(0).max(48).default(24),
  /** The coach's yardage standard for a good run. */
  standardYards: z.coerce.number().min(0).max(20).default(4),
  /** The same on second down, and on third and fourth, as a share of what is needed; 0: the same yards on every down. */
  standardSecond: z.coerce.number().min(0).max(1).default(0),
  standardThird: z.coerce.number().min(0).max(1).default(0),
  /** Whether the Book also shows grades in which a miss counts by what it meant. */
  weighMisses: z.enum(['alike', 'meant']).default('alike'),
  /** A lone first-level block farther to the side than this is at risk. */
  reachLimit: z.coerce.number().min(1).max(15).default(5),
  /** The same on zone tracks, to the play side. */
  zoneReachLimit: z.coerce.number().min(1).max(15).default(6.5),
  /** A puller later than the man he is to meet by more than this loses the race. */
  pullMargin: z.coerce.number().min(0).max(2).default(0.2),
  /** A linebacker at this depth or less (yards) can run through a gap a puller left. */
  vacatedDepth: z.coerce.number().min(0).max(8).default(3),
  /** Who plays: how fast men are taken to be on the board, and which cautions are shown. */
  levelOfPlay: z.enum(['youth', 'school', 'adult']).default('adult'),
  /** What the league asks of a defence; shipped, it asks nothing. Men on the line, at least and at most. */
  leagueLeastOnLine: z.coerce.number().int().min(0).max(11).default(0),
  leagueMostOnLine: z.coerce.number().int().min(1).max(11).default(11),
  /** Yards off the ball at which everybody in the box who is not on the line has to stand. */
  leagueDepth: z.coerce.number().min(0).max(10).default(0),
  /** Who may stand over the centre. */
  leagueCentre: z.enum(['anybody', 'head-up', 'nobody']).default('anybody'),
  /** Whether men off the line may come through a gap at the snap. */
  leagueBlitz: z.enum(['allowed', 'forbidden']).default('allowed'),
  /** Single men by seat whose speed the team has measured on its own film; everybody else has the shipped one of his level. */
  movers: z.record(z.string().regex(/^[A-Z][A-Z0-9]{0,2}$/, 'a seat such as LT or Y'), MeasuredMoverSchema).default({}),
  /** Seconds from the snap to the throw, by the quarterback's drop. */
  throwQuick: z.coerce.number().min(0.8).max(6).default(1.6),
  throwThree: z.coerce.number().min(0.8).max(6).default(2.2),
  throwFive: z.coerce.number().min(0.8).max(6).default(2.8),
  throwSeven: z.coerce.number().min(0.8).max(6).default(3.4),
  throwBoot: z.coerce.number().min(0.8).max(6).default(3.2),
  /** Yards behind the ball from which he throws; never nearer than he stands. */
  dropQuick: z.coerce.number().min(1).max(12).default(3),
  dropThree: z.coerce.number().min(1).max(12).default(5),
  dropFive: z.coerce.number().min(1).max(12).default(7),
  dropSeven: z.coerce.number().min(1).max(12).default(9),
  dropBoot: z.coerce.number().min(1).max(12).default(7),
  /** Yards behind the ball at which he stands in the gun and in the pistol. */
  gunDepth: z.coerce.number().min(3).max(8).default(5),
  pistolDepth: z.coerce.number().min(2).max(7).default(4),
  /** Technique on which schools differ; see there for what each says. */
  strike: z.enum(schoolsOf('strike')).default('hands'),
  hat: z.enum(schoolsOf('hat')).default('outside'),
  reachStep: z.enum(schoolsOf('reachStep')).default('gain'),
  doubleExit: z.enum(schoolsOf('doubleExit')).default('patient'),
  runStance: z.enum(schoolsOf('runStance')).default('three-point'),
  /** Whether a walked-up man counts when a tackle says loaded or light. */
  walkedUpCounts: z.preprocess((v) => (v === 'true' ? true : v === 'false' ? false : v), z.boolean()).default(true),
});
export type Settings = z.infer<typeof SettingsSchema>;

/** The shipped settings. */
export const SHIPPED_SETTINGS: Settings = Object.freeze(SettingsSchema.parse({}));
