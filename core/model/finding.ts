import * as z from 'zod';

/** Whose a man who came free was: by rule one man's, shared by two, nobody's, left on purpose; or nobody can say. */
export const WhoseSchema = z.object({
  kind: z.enum(['one', 'shared', 'nobody', 'left', 'unknown']),
  men: z.array(z.string()).max(4),
  /** Why, in sentences. */
  says: z.string().max(600),
  /** The call at the line that decides it, where one does. */
  call: z.string().max(60).nullable(),
});
export type Whose = z.infer<typeof WhoseSchema>;

/** A defender who came free, whose he was by rule, and what the coach says of that. */
export const FreeManSchema = z.object({
  defender: z.string().min(1).max(3),
  rule: WhoseSchema,
  /** `null` until somebody has said so. */
  verdict: z.enum(['accepted', 'changed', 'asked']).nullable(),
  /** Whom the coach charges with it, when that is somebody else. */
  charged: z.array(z.string().max(3)).max(4),
  note: z.string().max(300),
});
export type FreeMan = z.infer<typeof FreeManSchema>;

/** What back or passer decided; apart from the line's marks, so that nobody is charged with another's doing. */
export const READS = ['keep', 'give', 'throw', 'cut'] as const;
export const ReadMarkSchema = z.object({
  seat: z.string().min(1).max(3),
  read: z.enum(READS),
  mark: z.enum(['right', 'wrong', 'cannot tell']),
  note: z.string().max(200),
});
export type ReadMark = z.infer<typeof ReadMarkSchema>;

/** How a snap failed: what happened one after the other, and where it began. */
export const CauseSchema = z.object({
  /** The men in the order in which it went wrong. */
  chain: z.array(z.object({ man: z.string().max(3), says: z.string().max(200) })).max(8),
  /** Where it began; `null` when it cannot be said. */
  root: z.string().max(3).nullable(),
  verdict: z.enum(['accepted', 'changed']).nullable(),
  note: z.string().max(300),
});
export type Cause = z.infer<typeof CauseSchema>;

/** A question about a rule, with the front it came up against. */
export const RuleQuestionSchema = z.object({ about: z.string().max(60), text: z.string().min(1).max(500) });
export type RuleQuestion = z.infer<typeof RuleQuestionSchema>;

/** What was found out about one snap, beside the marks of its men. */
export const FindingSchema = z.object({
  free: z.array(FreeManSchema).max(8).default([]),
  reads: z.array(ReadMarkSchema).max(6).default([]),
  cause: CauseSchema.nullable().default(null),
  questions: z.array(RuleQuestionSchema).max(10).default([]),
});
export type Finding = z.infer<typeof FindingSchema>;
export const NOTHING_FOUND: Finding = Object.freeze({ free: [], reads: [], cause: null, questions: [] });
