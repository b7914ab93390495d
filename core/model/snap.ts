import * as z from 'zod';
import { OverridesSchema } from './overrides';
import { SideSchema } from './side';

/** A call as it was made: scheme by id, formation and front as texts in inline notation. */
export const CallSchema = z.object({
  scheme: z.string().min(1).max(80),
  side: SideSchema,
  tags: z.array(z.string().max(40)).max(12),
  formation: z.string().min(1).max(400),
  formationName: z.string().max(80),
  front: z.string().min(1).max(800),
  frontName: z.string().max(80),
  overrides: OverridesSchema.default({}),
});
export type Call = z.infer<typeof CallSchema>;

/** How a snap ended, beside what was gained. */
export const RESULTS = ['went on', 'touchdown', 'ball lost', 'incomplete', 'sacked', 'no play'] as const;
export const ResultSchema = z.enum(RESULTS);
export type SnapResult = z.infer<typeof ResultSchema>;

export const PenaltySchema = z.object({
  what: z.string().max(60),
  /** Who was flagged: we, who snap the ball, or they. */
  on: z.enum(['us', 'them']),
  yards: z.int().min(0).max(99),
  /** The down is played again. */
  again: z.boolean(),
});
export type Penalty = z.infer<typeof PenaltySchema>;

const SituationFields = z.object({
  quarter: z.int().min(1).max(5),
  down: z.int().min(1).max(4),
  distance: z.int().min(1).max(99),
  hash: z.enum(['left', 'middle', 'right']),
  /** Yards gained. */
  gain: z.int().min(-99).max(99),
  /** Yards the runner had before anybody of theirs touched him; `null` when nobody wrote it down. */
  beforeContact: z.int().min(-99).max(99).nullable(),
  /** Which time in the game that we have the ball, from 1. */
  series: z.int().min(1).max(60),
  /** Yards from the ball to the goal line we play to; `null` when nobody wrote it down. */
  toGoal: z.int().min(1).max(99).nullable(),
  result: ResultSchema,
  penalty: PenaltySchema.nullable(),
});
/** What a snap began with and what came of it; snaps that an older build kept say less. */
export const SituationSchema = SituationFields.extend({
  series: SituationFields.shape.series.default(1),
  toGoal: SituationFields.shape.toGoal.default(null),
  result: SituationFields.shape.result.default('went on'),
  penalty: SituationFields.shape.penalty.default(null),
  beforeContact: SituationFields.shape.beforeContact.default(null),
});
/** Some of it, to be changed: what is not said stays. */
export const SituationChangeSchema = SituationFields.partial();

/** Most characters of what was said. */
export const MOST_SAID = 200;

/** What else is written down of a snap. */
export const LoggedSchema = z.object({
  /** Who was on the field, in the program's words: "two backs, one tight end". */
  personnel: z.string().max(60).default(''),
  /** What was really said at the line. */
  said: z.string().max(MOST_SAID).default(''),
  /** Why the snap is in no count, or empty when it counts. */
  notCounted: z.string().max(80).default(''),
});
export type Logged = z.infer<typeof LoggedSchema>;

export type Situation = z.infer<typeof SituationSchema>;

/** A piece of film: frames are counted from 0, `snapFrame` is the first in which the ball moves. */
export const ClipBodySchema = z.object({
  framesPerSecond: z.number().positive(),
  frames: z.int().positive(),
  snapFrame: z.int().min(0),
  contactFrame: z.int().min(0),
  whistleFrame: z.int().min(0),
  /** On a pass: the first frame in which the ball has left the hand; nobody has to mark it. */
  throwFrame: z.int().min(0).optional(),
});
export type ClipBody = z.infer<typeof ClipBodySchema>;
