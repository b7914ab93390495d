import { atLeast, atMost } from '../geometry/compare';
import type { Outcome } from '../resolve/allot/outcome';
import type { Fault } from '../resolve/judge/judge-case';

/**
 * Is this a fault of the rules themselves, whoever plays: a man on the line between the last back-side and the last play-side lineman whom
 * nobody has, reads or leaves; two men on one defender unasked; a lineman without a job while somebody in the box is free; rules that
 * chase each other? Places are the scene's: play side positive, feet.
 */
export function isHole({ settled: { scene } }: Outcome, { code, defenders }: Fault): boolean {
  if (code === 'two-on-one' || code === 'idle' || code === 'cycle') return true;
  if (code !== 'free-at-attack' && code !== 'free-on-line') return false;
  const [lo, hi] = [scene.men[0]!.x, scene.men[scene.lineCount - 1]!.x];
  return defenders.some((d) => atLeast(scene.defenders[d]!.x, lo) && atMost(scene.defenders[d]!.x, hi));
}
