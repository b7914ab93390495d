import { EPSILON } from './tolerances';

/** `a <= b`, forgiving binary rounding. */
export const atMost = (a: number, b: number): boolean => a <= b + EPSILON;
/** `a > b` by more than binary rounding. */
export const moreThan = (a: number, b: number): boolean => a > b + EPSILON;
/** `a < b` by more than binary rounding. */
export const lessThan = (a: number, b: number): boolean => a < b - EPSILON;
/** `a >= b`, forgiving binary rounding. */
export const atLeast = (a: number, b: number): boolean => a >= b - EPSILON;
