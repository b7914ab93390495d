import { sayFieldPlace } from './field-place';

/** Yards to go up to which it is short, and from which it is long. */
export const SHORT = 3;
const LONG = 7;
/** Yards before a goal line within which it is its last. */
const NEAR_GOAL = 20;
/** Yards from which a run is an explosive one, and its gain is told apart. */
export const EXPLOSIVE = 10;

export function classOfDistance(yards: number): string {
  if (yards <= SHORT) return 'short';
  return yards < LONG ? 'middle' : 'long';
}
/** The part of the field a snap is on; `null` when nobody wrote the place down. */
export function classOfZone(toGoal: number | null): string | null {
  if (toGoal === null) return null;
  if (toGoal <= NEAR_GOAL) return 'their last 20';
  if (toGoal > 100 - NEAR_GOAL) return 'our last 20';
  return sayFieldPlace(toGoal).startsWith('own') ? 'our half' : 'their half';
}
export function classOfGain(yards: number): string {
  if (yards < 0) return 'lost yards';
  if (yards < SHORT) return 'stopped short';
  return yards >= EXPLOSIVE ? 'ten and more' : 'gained';
}
