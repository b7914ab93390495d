import * as z from 'zod';
import { AngleSchema } from './snap';
import { PixelSchema } from './calibration';

const TeamSchema = z.enum(['offence', 'defence']);
export type Team = z.infer<typeof TeamSchema>;

/** A click on a man's feet: who he is (his seat, or the letter of a defender), from where he was seen, and where. */
export const FeetSchema = z.object({
  id: z.string().regex(/^[A-Za-z][A-Za-z0-9]{0,2}$/),
  team: TeamSchema,
  angle: AngleSchema,
  pixel: PixelSchema,
});
export type Feet = z.infer<typeof FeetSchema>;

/** Clicks on the frames of one moment of a play: seconds from the snap. */
export const LookSchema = z.object({ seconds: z.number().min(-2).max(12), feet: z.array(FeetSchema).max(88) });
export type Look = z.infer<typeof LookSchema>;
