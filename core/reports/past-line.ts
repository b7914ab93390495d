import type { PastLine } from '../film/measures/past-line';
import { trim, YARD } from '../geometry/units';

const HOW_FAR = 'How far is allowed before a ball is thrown past the line, your league’s rule book says.';

/** Who of the line is past it on a frame: "Past the line on this frame: RT 1.4 yd, give or take 0.1." */
export function sayPastLine(past: readonly PastLine[]): string {
  if (past.length === 0) return `Nobody of the line is past the line on this frame. ${HOW_FAR}`;
  const told = past.map(
    ({ id, depth, error }) => `${id} ${trim(depth / YARD, 1)} yd, give or take ${(error / YARD).toFixed(1)}`,
  );
  return `Past the line on this frame: ${told.join('; ')}. ${HOW_FAR}`;
}
