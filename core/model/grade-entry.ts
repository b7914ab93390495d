import * as z from 'zod';
import { GradeSchema } from './grade';

/** One mark on its way to be kept. It says what it was given against, so that nothing is overwritten that its grader has not seen. */
export const GradeEntrySchema = z.object({
  /** The mark's own name, made by the grader's machine; sent again it is the same mark. */
  entry: z.uuid(),
  blocker: z.string().min(1).max(3),
  /** `null` takes the mark away. */
  grade: GradeSchema.nullable(),
  /** The revision of the mark that was seen when this one was given; 0 when there was none. */
  base: z.int().min(0),
  /** Earlier marks of the same grader that this one replaces and that may or may not have arrived. */
  follows: z.array(z.uuid()).max(50).default([]),
});
export type GradeEntry = z.infer<typeof GradeEntrySchema>;

/** Whose marks: the program's, or a reading of one's own beside them. */
export const SHEETS = ['program', 'own'] as const;
export const SheetSchema = z.enum(SHEETS);
export type Sheet = z.infer<typeof SheetSchema>;

/** All that is sent of one snap at once. */
export const GradesSentSchema = z.object({
  sheet: SheetSchema.default('program'),
  /** The revision of what the snap asks, as the grader saw it. */
  snapRevision: z.int().min(0),
  entries: z.array(GradeEntrySchema).min(1).max(11),
});
export type GradesSent = z.infer<typeof GradesSentSchema>;

/** Where each mark stands now; 0 where there is none any more. */
export const GradesKeptSchema = z.object({ revisions: z.record(z.string(), z.int()) });
export type GradesKept = z.infer<typeof GradesKeptSchema>;

/** What stands there instead, with who put it there and when. */
export const OtherMarkSchema = z.object({
  blocker: z.string(),
  grade: GradeSchema.nullable(),
  revision: z.int(),
  by: z.string(),
  at: z.string(),
});
export type OtherMark = z.infer<typeof OtherMarkSchema>;

/** Why marks were not kept: the call was changed under them, or somebody else has marked the same men. */
export const GradesConflictSchema = z.object({
  kind: z.enum(['call', 'marks']),
  snapRevision: z.int(),
  others: z.array(OtherMarkSchema),
});
export type GradesConflict = z.infer<typeof GradesConflictSchema>;
