import * as z from 'zod';
import { AssignmentSchema, ResolutionSchema, TechniqueSheetSchema } from './resolution';
import { CallSchema, LoggedSchema, SituationSchema } from './snap';

/** One snap of a game. The resolution is the one its grades were given against; changing a rule never changes it. */
export const SnapBodySchema = z.object({
  call: CallSchema,
  situation: SituationSchema,
  resolution: ResolutionSchema,
  logged: LoggedSchema.prefault({}),
});
export type SnapBody = z.infer<typeof SnapBodySchema>;

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
