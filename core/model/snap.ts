import * as z from 'zod';
import { OverridesSchema } from './identification';
import { ResolutionSchema } from './resolution';
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

export const SituationSchema = z.object({
  quarter: z.int().min(1).max(5),
  down: z.int().min(1).max(4),
  distance: z.int().min(1).max(99),
  hash: z.enum(['left', 'middle', 'right']),
  /** Yards gained. */
  gain: z.int().min(-99).max(99),
});

/** One snap of a game. The resolution is the one its grades were given against; changing a rule never changes it. */
export const SnapBodySchema = z.object({ call: CallSchema, situation: SituationSchema, resolution: ResolutionSchema });
export type SnapBody = z.infer<typeof SnapBodySchema>;
export type Situation = z.infer<typeof SituationSchema>;

/** A piece of film: frames are counted from 0, `snapFrame` is the first in which the ball moves. */
export const ClipBodySchema = z.object({
  framesPerSecond: z.number().positive(),
  frames: z.int().positive(),
  snapFrame: z.int().min(0),
  contactFrame: z.int().min(0),
  whistleFrame: z.int().min(0),
});
export type ClipBody = z.infer<typeof ClipBodySchema>;
export const ANGLES = ['end zone', 'sideline'] as const;
export const AngleSchema = z.enum(ANGLES);
export type Angle = z.infer<typeof AngleSchema>;
