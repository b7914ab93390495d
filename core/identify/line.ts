import { atMost, lessThan, moreThan } from '../geometry/compare';
import { FIRST_LEVEL_DEPTH, HEAD_UP, SECOND_LEVEL_DEPTH, SHADE } from '../geometry/tolerances';
import type { Point } from '../geometry/vec';

/** Anyone with a name and a place. */
export interface Standing extends Point {
  readonly id: string;
}

export type Level = 1 | 2 | 3;

/** First level up to 4.5 ft off the ball, second up to 24 ft, third beyond. */
export const levelOf = (defender: Point): Level =>
  atMost(defender.y, FIRST_LEVEL_DEPTH) ? 1 : atMost(defender.y, SECOND_LEVEL_DEPTH) ? 2 : 3;

/**
 * Index of the blocker a place is head-up or shaded on, in a line sorted left to right; -1 when in a gap or wide.
 * Where splits are so tight that two blockers could claim it, the nearer nose has it, and the man nearer the ball a tie.
 */
export function coveredIndex(x: number, line: readonly Standing[]): number {
  let best = -1;
  let bestDistance = Infinity;
  for (let i = 0; i < line.length; i++) {
    const nose = line[i]!.x;
    const d = Math.abs(x - nose);
    if (!atMost(d, SHADE)) continue;
    if (lessThan(d, bestDistance) || (!moreThan(d, bestDistance) && Math.abs(nose) < Math.abs(line[best]!.x))) {
      best = i;
      bestDistance = d;
    }
  }
  return best;
}

/** Noses within half a foot. */
export const isHeadUp = (a: number, b: number): boolean => atMost(Math.abs(a - b), HEAD_UP);

/** A gap is filled by a nose strictly between the two neighbours' noses and head-up on neither. */
export const fillsGap = (x: number, leftNose: number, rightNose: number): boolean =>
  moreThan(x, leftNose) && lessThan(x, rightNose) && !isHeadUp(x, leftNose) && !isHeadUp(x, rightNose);
