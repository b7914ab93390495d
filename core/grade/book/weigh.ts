import type { Consequence } from '../../model/grade';

/** How much a miss counts by what it meant, where a coach wants it weighed; one of which nobody said counts once, as does what was done as asked. */
export const MISS_WEIGHTS: Readonly<Record<Consequence, number>> = { harmless: 0.5, costly: 1.5, fatal: 3 };
