import * as z from 'zod';
import { FAULT_IDS } from './faults';

/** Did he take the man his rule gave him? */
export const AssignmentMarkSchema = z.enum(['right', 'wrong', 'not his fault', 'cannot tell']);
/** Did he do it the way this block asks? */
export const TechniqueMarkSchema = z.enum(['plus', 'minus', 'cannot tell']);

export const GradeSchema = z.object({
  assignment: AssignmentMarkSchema,
  technique: TechniqueMarkSchema,
  fault: z.enum(FAULT_IDS).nullable(),
  note: z.string().max(500),
});
export type Grade = z.infer<typeof GradeSchema>;
export type AssignmentMark = z.infer<typeof AssignmentMarkSchema>;
export type TechniqueMark = z.infer<typeof TechniqueMarkSchema>;

/** Everybody did his job. */
export const ALL_PLUS: Grade = Object.freeze({ assignment: 'right', technique: 'plus', fault: null, note: '' });
