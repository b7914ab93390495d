import type { Run } from './run';

/** The step of a run at a time, seconds from the snap; its first before it, its last when it is over. */
export const stepAt = ({ frames, step }: Pick<Run, 'frames' | 'step'>, seconds: number): number =>
  Math.max(0, Math.min(frames.length - 1, Math.round(seconds / step)));

/** Everybody's place at a step of a run, by name, the ball among them; `null` before the snap. Feet, field frame. */
export function placesAt(
  { men, frames }: Pick<Run, 'men' | 'frames'>,
  step: number,
): ReadonlyMap<string, { x: number; y: number }> | null {
  const points = frames[step];
  if (!points || step === 0) return null;
  const ball = 2 * men.length;
  return new Map([
    ...men.map((m, i) => [m.id, { x: points[2 * i]!, y: points[2 * i + 1]! }] as const),
    ['ball', { x: points[ball]!, y: points[ball + 1]! }],
  ]);
}
