import * as z from 'zod';
import { AssignmentSchema, TechniqueSheetSchema } from './resolution';
import { SnapBodySchema } from './snap';

/** What a man was asked when he was graded, kept with the grade: a later change of the call or the rule never changes it. */
export const AskedSchema = z.object({
  block: z.string(),
  target: z.string().nullable(),
  next: z.string().nullable(),
  partners: z.array(z.string()),
  role: z.enum(['alone', 'inner', 'outer', 'third']),
  schools: z.array(z.string()),
});
export type Asked = z.infer<typeof AskedSchema>;

/** What of a kept snap is read to write grades on it and to count them: much less than all it says. */
export const GradedSnapSchema = SnapBodySchema.pick({ call: true, situation: true, logged: true }).extend({
  resolution: z.object({
    assignments: z.array(
      AssignmentSchema.pick({ blocker: true, block: true, target: true, next: true, partners: true }).extend({
        technique: TechniqueSheetSchema.pick({ role: true, schools: true }).nullable().default(null),
      }),
    ),
    passing: z.unknown().transform((passing) => (passing ? {} : null)),
  }),
});
export type GradedSnap = z.infer<typeof GradedSnapSchema>;
