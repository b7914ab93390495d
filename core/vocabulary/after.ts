import { lessThan, moreThan } from '../geometry/compare';
import { HEAD_UP, SHADE } from '../geometry/tolerances';
import { fillsGap } from '../identify/line';
import { outward } from './finding';
import type { Change, Scene } from './scene';

/** Is a man on the line strictly between two noses and head-up on neither? */
export const isBetween = (scene: Scene, defender: number, { lo, hi }: { lo: number; hi: number }): boolean =>
  scene.defenders[defender]!.level === 1 && fillsGap(scene.defenders[defender]!.x, lo, hi);

/** Which way a defender of the picture before the snap has gone across a blocker's nose; `null` when he has not. */
export function crosses({ before, after, nowAt }: Change, man: number, defender: number): 'inside' | 'outside' | null {
  const nose = before.men[man]!.x;
  const [was, is] = [before.defenders[defender]!.x - nose, after.defenders[nowAt[defender]!]!.x - nose];
  if (!moreThan(Math.abs(is), HEAD_UP) || !moreThan(Math.abs(is - was), HEAD_UP)) return null;
  if (moreThan(Math.abs(was), HEAD_UP) && Math.sign(was) === Math.sign(is)) return null;
  return Math.sign(is) === outward(before, man) ? 'outside' : 'inside';
}

/** Has he gone away from a blocker: off the line, or farther to the side than a shade and farther than he was? */
export function hasLeft({ before, after, nowAt }: Change, man: number, defender: number): boolean {
  const now = after.defenders[nowAt[defender]!]!;
  if (now.level > before.defenders[defender]!.level) return true;
  const nose = before.men[man]!.x;
  const away = Math.abs(now.x - nose);
  return moreThan(away, SHADE) && lessThan(Math.abs(before.defenders[defender]!.x - nose), away);
}
