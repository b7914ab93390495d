import { lessThan, moreThan } from '../geometry/compare';
import { HEAD_UP, SHADE } from '../geometry/tolerances';
import { fillsGap } from '../identify/line';
import type { Change, Scene } from './scene';

/** Is a man on the line strictly between two noses and head-up on neither? */
export const isBetween = (scene: Scene, defender: number, { lo, hi }: { lo: number; hi: number }): boolean =>
  scene.defenders[defender]!.level === 1 && fillsGap(scene.defenders[defender]!.x, lo, hi);

/** Which way a defender of the picture before the snap has gone across a blocker's nose: 1 to the play side, -1 to the back side, 0 when he has not. */
export function crosses({ before, after, nowAt }: Change, man: number, defender: number): -1 | 0 | 1 {
  const nose = before.men[man]!.x;
  const [was, is] = [before.defenders[defender]!.x - nose, after.defenders[nowAt[defender]!]!.x - nose];
  if (!moreThan(Math.abs(is), HEAD_UP) || !moreThan(Math.abs(is - was), HEAD_UP)) return 0;
  if (moreThan(Math.abs(was), HEAD_UP) && Math.sign(was) === Math.sign(is)) return 0;
  return is > 0 ? 1 : -1;
}

/** Has he gone away from a blocker: off the line, or farther to the side than a shade and farther than he was? */
export function hasLeft({ before, after, nowAt }: Change, man: number, defender: number): boolean {
  const now = after.defenders[nowAt[defender]!]!;
  if (now.level > before.defenders[defender]!.level) return true;
  const nose = before.men[man]!.x;
  const away = Math.abs(now.x - nose);
  return moreThan(away, SHADE) && lessThan(Math.abs(before.defenders[defender]!.x - nose), away);
}
