import * as z from 'zod';
import { SideSchema } from './side';
import { IdentificationSchema } from './identification';

export const PointSchema = z.object({ x: z.number(), y: z.number() });
export const VerdictSchema = z.enum(['sound', 'at risk', 'broken']);
export const DefenderStatusSchema = z.enum(['single', 'double', 'triple', 'read', 'left', 'free']);

export const StepSchema = z.object({ kind: z.string(), foot: SideSchema });

/** Which way a part of the technique points, as it is said to the man: never left or right but on the centre. */
const HEADS = ['inside', 'outside', 'play side', 'back side', 'across', 'square', 'none'] as const;
/** How a man does it: what follows from his block, his part in a pair, where his man stands and where the ball ends. */
export const TechniqueSheetSchema = z.object({
  /** His part in a pair: the man nearer the ball, the one farther from it, the one in the middle of three. */
  role: z.enum(['alone', 'inner', 'outer', 'third']),
  length: z.enum(['none', 'short', 'long']),
  landmark: z.string(),
  head: z.enum(HEADS),
  hand: z.enum(['inside', 'outside', 'play side', 'back side', 'both', 'none']),
  pad: z.string(),
  /** Wordings of the program's schools that bear on this block. */
  schools: z.array(z.string()),
  stance: z.object({
    kind: z.enum(['three-point', 'two-point', 'tackle’s', 'over the ball', 'upright']),
    /** The hand on the ground. */
    hand: SideSchema.nullable(),
    /** The foot that is back, and how far; even feet tip nothing off. */
    back: SideSchema.nullable(),
    stagger: z.enum(['even', 'heel to instep', 'heel to toe']),
  }),
  /** Which of the two the first step is taken with. */
  stepsWith: z.enum(['front foot', 'back foot', 'either foot']),
});
export type TechniqueSheet = z.infer<typeof TechniqueSheetSchema>;

export const PassedOverSchema = z.object({ line: z.number(), sentence: z.string(), reason: z.string() });

export const AssignmentSchema = z.object({
  blocker: z.string(),
  /** One of the block ids. */
  block: z.string(),
  target: z.string().nullable(),
  partners: z.array(z.string()),
  next: z.string().nullable(),
  pull: z.boolean(),
  /** How much help a pair gives: both men on him, or one hand on the way by. */
  help: z.enum(['full', 'hand']).nullable(),
  /** Feet, field frame, from where he stands to where he finishes. */
  path: z.array(PointSchema),
  step: StepSchema,
  aim: z.string(),
  eyes: z.string(),
  /** `null` in answers kept by a build that did not work it out. */
  technique: TechniqueSheetSchema.nullable().default(null),
  call: z.string().nullable(),
  /** What he does if the picture moves. */
  followUps: z.array(z.string()),
  because: z.object({
    sentence: z.string(),
    line: z.number(),
    passedOver: z.array(PassedOverSchema),
    /** Why he has this linebacker and no other; `null` where there was nothing to choose. */
    rather: z.string().nullable().default(null),
  }),
});

export const DefenderOutcomeSchema = z.object({
  id: z.string(),
  status: DefenderStatusSchema,
  by: z.array(z.string()),
  because: z.string().nullable(),
});

export const LineCallSchema = z.object({ from: z.string(), to: z.string(), word: z.string(), meaning: z.string() });

export const ProblemCodeSchema = z.enum([
  'free-at-attack',
  'free-on-line',
  'two-on-one',
  'idle',
  'partner-cannot-come',
  'cycle',
  'reach-too-far',
  'climb-too-far',
  'crossing',
  'pull-late',
  'vacated-gap',
  'free-linebacker',
  'free-rusher',
  'hot-rusher',
  'set-late',
  'bad-match',
  'scan-across',
]);
export type ProblemCode = z.infer<typeof ProblemCodeSchema>;

export const ProblemSchema = z.object({
  code: ProblemCodeSchema,
  severity: z.enum(['broken', 'risk']),
  who: z.array(z.string()),
  /** Lines of the sentences involved. */
  lines: z.array(z.number()),
  message: z.string(),
});

export const PASS_SETS = ['short', 'vertical', 'slide', 'angle'] as const;

/** What a protection says beyond who has whom. */
export const PassingSchema = z.object({
  /** Where the ball is thrown from, feet, field frame, and when, seconds. */
  spot: PointSchema,
  time: z.number(),
  men: z.array(
    z.object({
      blocker: z.string(),
      set: z.enum(PASS_SETS),
      /** Who has a hand free beside him, and on which side of him. */
      help: z.array(z.object({ from: z.string(), side: z.enum(['inside', 'outside', 'left', 'right']) })),
    }),
  ),
  /** Whom each scanning man looks at, in order. */
  scans: z.array(z.object({ blocker: z.string(), order: z.array(z.string()) })),
  /**
   * Neighbours who have two rushers between them, the inner one named first on both sides, until the outer man can see who comes inside
   * him: seconds from the snap to when the inner rusher would be on him.
   */
  shared: z
    .array(
      z.object({
        blockers: z.tuple([z.string(), z.string()]),
        on: z.tuple([z.string(), z.string()]),
        until: z.number(),
      }),
    )
    .default([]),
  /** Who can rush and nobody has, the soonest first: seconds to the spot. */
  hot: z.array(z.object({ id: z.string(), arrives: z.number() })),
});
export type Passing = z.infer<typeof PassingSchema>;

/** What movements after the snap changed; the assignments beside it are those after the snap. */
export const MovementReportSchema = z.object({
  /** The movements, as they are written. */
  said: z.array(z.string()),
  /** Who moves, and the points he runs through: feet, field frame, his place before the snap first. */
  moved: z.array(z.object({ id: z.string(), way: z.array(PointSchema) })),
  before: z.object({
    verdict: VerdictSchema,
    assignments: z.array(
      z.object({ blocker: z.string(), block: z.string(), target: z.string().nullable(), next: z.string().nullable() }),
    ),
    problems: z.array(z.string()),
  }),
  /** Blockers who do something else than they were to do. */
  changed: z.array(z.string()),
});
export type MovementReport = z.infer<typeof MovementReportSchema>;

/** A scheme worked out against one front. */
export const ResolutionSchema = z.object({
  scheme: z.string(),
  side: SideSchema,
  tags: z.array(z.string()),
  verdict: VerdictSchema,
  identification: IdentificationSchema,
  assignments: z.array(AssignmentSchema),
  defenders: z.array(DefenderOutcomeSchema),
  calls: z.array(LineCallSchema),
  problems: z.array(ProblemSchema),
  /** Seen and judged no problem: "W cannot arrive". */
  notes: z.array(z.string()),
  /** Where the ball is to go and when it crosses the line: feet, field frame; seconds. */
  attack: z.object({ x: z.number(), time: z.number(), gap: z.string() }),
  /**
   * What a run gains before the first man whom nobody has, reads or leaves meets the ball, yards, and who he is: `null` when nobody does
   * within twenty. Speeds are assumptions; strength and skill are not in it. Only for runs.
   */
  expected: z
    .object({ yards: z.number(), metBy: z.string().nullable(), standard: z.number() })
    .nullable()
    .default(null),
  /** Only for protections. */
  passing: PassingSchema.nullable().default(null),
  /** Only for a front that moves. */
  movement: MovementReportSchema.nullable().default(null),
});
export type Resolution = z.infer<typeof ResolutionSchema>;
export type Assignment = z.infer<typeof AssignmentSchema>;
export type Problem = z.infer<typeof ProblemSchema>;
export type LineCall = z.infer<typeof LineCallSchema>;
export type Verdict = z.infer<typeof VerdictSchema>;
export type DefenderStatus = z.infer<typeof DefenderStatusSchema>;
