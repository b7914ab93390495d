import { moreThan } from '../../geometry/compare';
import type { Pocket } from '../../kinematics/passing';
import { arrivesAt } from '../../kinematics/races';
import { moverOf } from '../../kinematics/speeds';
import { BLOCKS } from '../../vocabulary/index';
import { NOBODY, type Post, type Scene } from '../../vocabulary/scene';
import type { ManOutcome, Outcome } from '../allot/outcome';
import { setPoint } from './pass-set';

/** A guard and his tackle with two rushers between them, in scene indices, the inner of each first. */
export interface Shared {
  readonly men: readonly [number, number];
  readonly rushers: readonly [number, number];
}

const SIDES = [
  ['PG', 'PT'],
  ['BG', 'BT'],
] as const satisfies readonly (readonly [Post, Post])[];

/**
 * A slide that deals a guard a man outside his tackle gives the two of them those two together: neither can know before the snap which
 * one comes inside.
 */
export function sharedRushers({ settled: { scene }, men }: Pick<Outcome, 'settled' | 'men'>): Shared[] {
  const slidesTo = (man: number): ManOutcome | undefined =>
    men.find((m) => m.man === man && m.target !== NOBODY && BLOCKS[m.block].slides && m.partners.length === 0);
  return SIDES.flatMap(([guard, tackle]): Shared[] => {
    const [inner, outer] = [slidesTo(scene.posts[guard]), slidesTo(scene.posts[tackle])];
    if (!inner || !outer || !isOutside(scene, inner.target, outer.man)) return [];
    return [{ men: [inner.man, outer.man], rushers: [inner.target, outer.target] }];
  });
}

/** Does somebody on the line stand outside this man's nose, on his side of the ball? */
function isOutside({ defenders, men }: Scene, defender: number, man: number): boolean {
  const [him, self] = [defenders[defender]!, men[man]!];
  return him.level === 1 && him.x > 0 === self.x > 0 && moreThan(Math.abs(him.x), Math.abs(self.x));
}

/** When the call dissolves: the inner rusher is where the tackle sets straight back, or has gone inside it. Seconds from the snap. */
export function dissolvesAt(
  { settled: { scene }, men }: Outcome,
  { men: [, outer], rushers: [him] }: Shared,
  pocket: Pocket,
): number {
  const tackle = men.find((m) => m.man === outer)!;
  return arrivesAt(
    scene.defenders[him]!,
    moverOf(scene.defenders[him]!),
    setPoint(scene, { ...tackle, target: NOBODY }, pocket),
  );
}
