import * as z from 'zod';
import { SideSchema } from './side';

export const FamilySchema = z.enum(['open', 'odd', 'even', 'bear', 'goal line']);
export const SideCallSchema = z.enum(['loaded', 'light']);

/** What a coach may overrule on one front. */
export const OverridesSchema = z.object({
  strength: SideSchema.optional(),
  family: FamilySchema.optional(),
  mike: z.string().optional(),
  leftCall: SideCallSchema.optional(),
  rightCall: SideCallSchema.optional(),
  box: z.array(z.string()).optional(),
  leftForce: z.string().optional(),
  rightForce: z.string().optional(),
});
export type Overrides = z.infer<typeof OverridesSchema>;
