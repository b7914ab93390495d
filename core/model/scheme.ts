import * as z from 'zod';

/** Where a run is to cross the line. */
export const ENTRIES = [
  'playside A gap',
  'playside B gap',
  'playside C gap',
  'playside D gap',
  'outside',
  'backside A gap',
] as const;
/** How the men move: what counts as too far, and which way feet go first. */
export const TRACKS = ['zone', 'wide zone', 'gap', 'man', 'pass'] as const;
/** When the ball reaches the line; the times are in kinematics. */
export const TEMPOS = [
  'dive',
  'trap',
  'inside zone',
  'power',
  'counter',
  'duo',
  'down',
  'outside zone',
  'buck',
  'toss',
  'pin and pull',
  'pass',
] as const;
/** How long the quarterback holds the ball, for schemes on the pass track; times and depths are in the settings. */
export const THROWS = ['quick', 'three-step', 'five-step', 'seven-step', 'boot'] as const;
/** The scheme's definition of "covered". */
export const COVER_NAMES = [
  'shoulders',
  'playside region',
  'playside region, head-up is mine',
  'playside region, head-up is mine play side',
  'playside region, head-up is mine back side',
  'count',
] as const;

/** First steps a scheme asks of everybody who blocks straight ahead. */
export const SCHEME_STEPS = ['lead', 'bucket', 'drop'] as const;

/** What happens with a man on the line whom no rule reaches. */
export const BUMPS = ['nobody', 'over to a free man'] as const;

export const SchemeHeadSchema = z.object({
  family: z.string().min(1),
  school: z.string().nullable(),
  entry: z.enum(ENTRIES),
  track: z.enum(TRACKS),
  tempo: z.enum(TEMPOS),
  /** Only on the pass track. */
  throw: z.enum(THROWS).nullable(),
  cover: z.enum(COVER_NAMES),
  /** The first step its linemen take whatever the shade; without it, the step of each block. */
  step: z.enum(SCHEME_STEPS).nullable(),
  bump: z.enum(BUMPS),
  /** The formation it is usually called from, by id. */
  from: z
    .string()
    .regex(/^[a-z0-9-]+$/)
    .nullable(),
  note: z.string().nullable(),
});
export type SchemeHead = z.infer<typeof SchemeHeadSchema>;
export type Entry = SchemeHead['entry'];
export type Tempo = SchemeHead['tempo'];
export type Throw = NonNullable<SchemeHead['throw']>;
