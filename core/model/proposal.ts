import * as z from 'zod';
import { AssignmentMarkSchema, ConsequenceSchema, OutcomeSchema } from './grade';
import { FaultIdSchema } from './faults';

/** Whom a man had on film: seconds from the snap to when he came to him, how long he was on him, and how sure that is, 0 to 1. */
export const HadSchema = z.object({ defender: z.string(), from: z.number(), seconds: z.number(), sure: z.number() });
export type Had = z.infer<typeof HadSchema>;

/** What it meant to the play where a man was not blocked, and what was seen of it. */
export const CostSchema = z.object({ consequence: ConsequenceSchema, why: z.string() });
export type Cost = z.infer<typeof CostSchema>;

/** What the film makes of one man's block. It is never a grade: somebody looks, and says so or not. */
export const ProposalSchema = z.object({
  blocker: z.string(),
  had: z.array(HadSchema),
  /** `null` where the film does not tell enough to propose anything. */
  assignment: AssignmentMarkSchema.nullable(),
  /** 0 to 1. */
  sure: z.number(),
  /** What was seen, in a sentence. */
  why: z.string(),
  outcome: OutcomeSchema.nullable(),
  /** What it meant if he missed; `null` where the film does not show it. */
  cost: CostSchema.nullable(),
  faults: z.array(z.object({ fault: FaultIdSchema, sure: z.number(), why: z.string() })),
});
export type Proposal = z.infer<typeof ProposalSchema>;
