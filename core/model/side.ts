import * as z from 'zod';

/** Left and right are always the offence's. */
export const SideSchema = z.enum(['left', 'right']);
export type Side = z.infer<typeof SideSchema>;

export const otherSide = (side: Side): Side => (side === 'left' ? 'right' : 'left');

/** +1 for right, -1 for left: the direction of that side along x. */
export const signOf = (side: Side): 1 | -1 => (side === 'right' ? 1 : -1);

/** The side of the ball a place is on; `null` straight over it. */
export const sideOf = (x: number): Side | null => (x > 0 ? 'right' : x < 0 ? 'left' : null);

export const SIDES = SideSchema.options;
