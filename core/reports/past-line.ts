import type { PastLine } from '../film/measures/past-line';
import { trim, YARD } from '../geometry/units';

const HOW_FAR = 'How far is allowed before a ball is thrown past the line, your league’s rule book says.';

const WHEN = { throw: 'when the ball is thrown', frame: 'on this frame' } as const;

/** Who of the line is past it, when the ball is thrown or on the frame on show: "Past the line on this frame: RT 1.4 yd, give or take 0.1." */
export function sayPastLine(past: readonly PastLine[], at: keyof typeof WHEN): string {
  if (past.length === 0) return `Nobody of the line is past the line ${WHEN[at]}. ${HOW_FAR}`;
  const told = past.map(
    ({ id, depth, error }) => `${id} ${trim(depth / YARD, 1)} yd, give or take ${(error / YARD).toFixed(1)}`,
  );
  return `Past the line ${WHEN[at]}: ${told.join('; ')}. ${HOW_FAR}`;
}
