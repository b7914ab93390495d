import * as z from 'zod';
import { MovementSchema } from './movement';

export const StanceSchema = z.enum(['down', 'up']);
export const PositionSchema = z.enum(['dl', 'end', 'lb', 'db']);
export const MarkSchema = z.enum(['force', 'corner', 'safety', 'mike', 'conflict']);
export type Position = z.infer<typeof PositionSchema>;
export type Mark = z.infer<typeof MarkSchema>;

export const DefenderSchema = z.object({
  id: z.string().regex(/^[A-Za-z][A-Za-z0-9]{0,2}$/),
  /** Feet, field frame. */
  x: z.number().finite().min(-80).max(80),
  y: z.number().finite().min(0).max(120),
  stance: StanceSchema,
  position: PositionSchema,
  /** Set by the coach's hand. */
  mark: MarkSchema.nullable(),
});
export type Defender = z.infer<typeof DefenderSchema>;

export const MAX_DEFENDERS = 11;

/** A front with everybody's place worked out against a formation. */
export const FrontSchema = z.object({
  id: z.string(),
  name: z.string(),
  defenders: z.array(DefenderSchema).max(MAX_DEFENDERS),
  movements: z.array(MovementSchema),
});
export type Front = z.infer<typeof FrontSchema>;
