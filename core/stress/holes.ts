import { atLeast, atMost } from '../geometry/compare';
import type { Fault } from '../resolve/judge/judge-case';
import type { Worked } from '../resolve/judge/judge';

/**
 * Faults of the rules themselves, whoever plays: a man on the line between the last back-side and the last play-side lineman whom
 * nobody has, reads or leaves; two men on one defender unasked; a lineman without a job while somebody in the box is free; rules that
 * chase each other. Places are the scene's: play side positive, feet.
 */
export function holesOf({ outcome, judgement }: Worked): Fault[] {
  const { scene } = outcome.settled;
  const line = scene.men.slice(0, scene.lineCount);
  const [lo, hi] = [line[0]!.x, line[line.length - 1]!.x];
  return judgement.faults.filter((f) => {
    if (f.code === 'two-on-one' || f.code === 'idle' || f.code === 'cycle') return true;
    return (
      (f.code === 'free-at-attack' || f.code === 'free-on-line') &&
      f.defenders.some((d) => atLeast(scene.defenders[d]!.x, lo) && atMost(scene.defenders[d]!.x, hi))
    );
  });
}
