import * as z from 'zod';
import { CallSchema } from './snap';
import { MOST_ANSWERS, PlannedAnswerSchema } from './week-plan';

/** A snap as it is tapped on the sideline: what was called, what they showed, who lost his man. */
export const NightSnapSchema = z.object({
  id: z.uuid(),
  /** Its number in the game, from 1. */
  number: z.int().min(1).max(400),
  /** Which time we have the ball. */
  series: z.int().min(1).max(60),
  call: CallSchema,
  /** Places of those who lost; empty when nobody did. */
  lost: z.array(z.string().max(3)).max(11),
  /** Signs of theirs that were seen before it, as the plan names them. */
  signs: z.array(PlannedAnswerSchema.shape.sign).max(MOST_ANSWERS).default([]),
  at: z.iso.datetime(),
});
export type NightSnap = z.infer<typeof NightSnapSchema>;
