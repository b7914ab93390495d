import * as z from 'zod';

/** From where a snap is filmed. */
export const ANGLES = ['end zone', 'sideline'] as const;
export const AngleSchema = z.enum(ANGLES);
export type Angle = z.infer<typeof AngleSchema>;
