import * as z from 'zod';
import { FACT_IDS } from './facts';
import { FaultIdSchema } from './faults';
import { AngleSchema } from './angle';
import { PHASES } from './phases';

/** Did he take the man his rule gave him? */
export const AssignmentMarkSchema = z.enum(['right', 'wrong', 'not his fault', 'cannot tell']);
/** Did he do it the way this block asks? */
export const TechniqueMarkSchema = z.enum(['plus', 'minus', 'cannot tell']);
export type AssignmentMark = z.infer<typeof AssignmentMarkSchema>;
export type TechniqueMark = z.infer<typeof TechniqueMarkSchema>;

export const PhaseMarkSchema = z.enum(['done', 'not', 'cannot tell']);
export type PhaseMark = z.infer<typeof PhaseMarkSchema>;

/** Did the block end as the standard of that very block wants it? */
export const OutcomeSchema = z.enum(['success', 'not', 'cannot tell']);
export type Outcome = z.infer<typeof OutcomeSchema>;

/** What a failed block meant to the play, from when and how far from the ball it was. */
export const CONSEQUENCES = ['harmless', 'costly', 'fatal'] as const;
export const ConsequenceSchema = z.enum(CONSEQUENCES);
export type Consequence = z.infer<typeof ConsequenceSchema>;

/** A double is one grade, the same with both men: how the two moved him, and who left when. Each man's own marks are his share. */
export const PairMarkSchema = z.object({
  movement: PhaseMarkSchema.nullable().default(null),
  hips: PhaseMarkSchema.nullable().default(null),
  left: z.string().max(3).nullable().default(null),
  when: z.enum(['early', 'in time', 'late']).nullable().default(null),
});
export type PairMark = z.infer<typeof PairMarkSchema>;

/** A rubric by its name and version: what the marks mean is found by it, whatever the season's rubric is by then. */
export const RubricRefSchema = z.string().regex(/^[a-z-]{1,40}@\d{1,3}$/, 'a rubric is its name and version');
export type RubricRef = z.infer<typeof RubricRefSchema>;

/** What the film proposed when the mark was given; the mark itself is somebody's own. */
export const ProposedSchema = z.object({
  assignment: AssignmentMarkSchema.nullable(),
  sure: z.number().min(0).max(1),
  faults: z.array(FaultIdSchema).max(6),
});
export type Proposed = z.infer<typeof ProposedSchema>;

/** What a grader says of one blocker on one snap. */
export const GradeSchema = z.object({
  rubric: RubricRefSchema.default('assignment-technique@1'),
  /** False when he had no part in the snap: it is in no count of his, and nobody asks for a mark any more. */
  counts: z.boolean().default(true),
  assignment: AssignmentMarkSchema,
  technique: TechniqueMarkSchema,
  /** Only where the rubric asks for it. */
  finish: TechniqueMarkSchema.nullable().default(null),
  points: z.int().min(0).max(4).nullable().default(null),
  phases: z.partialRecord(z.enum(PHASES), PhaseMarkSchema).default({}),
  outcome: OutcomeSchema.nullable().default(null),
  faults: z.array(FaultIdSchema).max(6).default([]),
  facts: z.array(z.enum(FACT_IDS)).max(FACT_IDS.length).default([]),
  /** Whom he really hit, by the defender's letter; `null` when nobody wrote it down. */
  hit: z.string().max(3).nullable().default(null),
  pair: PairMarkSchema.nullable().default(null),
  consequence: ConsequenceSchema.nullable().default(null),
  /** Frames to look at, counted from 0. */
  frames: z
    .array(z.object({ angle: AngleSchema, frame: z.int().min(0), says: z.string().max(60) }))
    .max(8)
    .default([]),
  proposed: ProposedSchema.nullable().default(null),
  note: z.string().max(500),
});
export type Grade = z.infer<typeof GradeSchema>;

/** Everybody did his job, as the shipped rubric says it. */
export const ALL_PLUS: Grade = Object.freeze(GradeSchema.parse({ assignment: 'right', technique: 'plus', note: '' }));

/** Whose sheet a mark is on: 0 is the program's grade, otherwise the user whose own reading it is. */
export const PROGRAM_SHEET = 0;
