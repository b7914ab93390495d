import { bitOf, has } from '../../geometry/bits';
import { atLeast, lessThan, moreThan } from '../../geometry/compare';
import { putInOrder } from '../../geometry/put-in-order';
import { HEAD_UP, LATERAL_REACH, SHADE } from '../../geometry/tolerances';
import { isBeside } from '../../vocabulary/targets/man-beside';
import { PLAIN_CLIMB } from '../../vocabulary/index';
import { NOBODY, type Scene } from '../../vocabulary/scene';
import type { Accept } from '../../vocabulary/word';
import { insteadOf } from '../prepare/proposals';
import type { Settled } from './settled';

/**
 * First level before second, where a scheme says "bump over to a free man". Two men who would take one defender without a word keep
 * one of them on him, the nearer; the other goes on. And nobody helps or climbs past a man on the line whom no rule reaches: the
 * nearest lineman with a hand free takes him; where there is none the men beside him move one over until somebody has (an augmenting
 * path between linemen and the men beside them). When nobody has, whoever blocks a man wide of the line, or pulls for one behind it, gives
 * that one up; but not for a man outside the last man back side: for him nobody's job at the point of attack is given up.
 */
export function bumpOver(settled: Settled): void {
  const { scene } = settled;
  const { owners } = scene;
  let isLeft = false;
  for (const d of scene.first) {
    if (owners[d]! > 1) sendOneOn(settled, d);
    else if (owners[d] === 0) isLeft = true;
  }
  if (isLeft) findForThoseLeft(settled);
}

function findForThoseLeft(settled: Settled): void {
  const { scene } = settled;
  const fromTheBall = (a: number, b: number): number =>
    Math.abs(scene.defenders[a]!.x) - Math.abs(scene.defenders[b]!.x) || b - a;
  const nobodyHas: number[] = [];
  for (const d of scene.first) if (scene.owners[d] === 0) putInOrder(nobodyHas, d, fromTheBall);
  for (const d of nobodyHas) {
    if (
      !findSomebody(settled, d, { men: 0 }, false) &&
      !settled.bound &&
      atLeast(scene.defenders[d]!.x, scene.men[0]!.x)
    )
      findSomebody(settled, d, { men: 0 }, true);
  }
}

function sendOneOn(settled: Settled, defender: number): void {
  const { scene } = settled;
  const on: number[] = [];
  for (let man = 0; man < scene.lineCount; man++) {
    const { target, pairs } = scene.proposals[man]!;
    if (target !== defender) continue;
    if (pairs) return;
    on.push(man);
  }
  if (on.length < 2) return;
  const [, ...others] = on.sort((a, b) => away(scene, a, defender) - away(scene, b, defender) || b - a);
  for (const man of others) if (!scene.proposals[man]!.pulls) change(settled, man, NOBODY, 'on');
}

/** Who has been asked to hand his own man on, a bit for each. */
interface Asked {
  men: number;
}

/** Gives a defender to a lineman beside him; true when somebody could come. */
function findSomebody(settled: Settled, defender: number, asked: Asked, desperate: boolean): boolean {
  const { scene } = settled;
  const beside = menBeside(settled, defender);
  const take = (man: number): true => {
    change(settled, man, defender, 'over');
    return true;
  };
  for (const man of beside) if (!has(asked.men, man) && hasHandFree(settled, man, desperate)) return take(man);
  // Once the ball is snapped nobody hands his own man on to take another: who could see it coming?
  if (settled.bound) return false;
  for (const man of beside) {
    const his = scene.proposals[man]!.target;
    if (has(asked.men, man) || scene.proposals[man]!.pulls || his === NOBODY) continue;
    asked.men |= bitOf(man);
    if (findSomebody(settled, his, asked, desperate)) return take(man);
  }
  return false;
}

const away = (scene: Scene, man: number, defender: number): number =>
  Math.abs(scene.men[man]!.x - scene.defenders[defender]!.x);

/** Linemen with rules who have this defender on them or in a gap of theirs, nearest nose first. */
function menBeside({ scene, sheets }: Settled, defender: number): number[] {
  const beside: number[] = [];
  const fromHim = (a: number, b: number): number => away(scene, a, defender) - away(scene, b, defender) || b - a;
  for (let man = 0; man < scene.lineCount; man++)
    if (sheets[man]!.length > 0 && isBeside(scene, man, defender)) putInOrder(beside, man, fromHim);
  return beside;
}

/**
 * No job on the line (nobody stops pulling once the ball is snapped), or one that his partner can do alone. In need also: a pull for somebody behind the line or outside it, a man
 * outside the last man back side, or one wide of the whole line on the play side.
 */
function hasHandFree({ scene, bound }: Settled, man: number, desperate: boolean): boolean {
  const p = scene.proposals[man]!;
  if (bound && p.pulls) return false;
  const busy = p.target !== NOBODY && scene.defenders[p.target]!.level === 1;
  if (!busy) return !p.pulls || desperate;
  if (!p.pulls && scene.proposals.some((other, mate) => mate !== man && other.target === p.target)) return true;
  const { x } = scene.defenders[p.target]!;
  return (
    desperate &&
    (lessThan(x, scene.men[0]!.x) || moreThan(x, scene.men[scene.lineCount - 1]!.x + (p.pulls ? HEAD_UP : SHADE)))
  );
}

/** What a man does instead of what his own sentence says. */
export function change({ scene, lone, own }: Settled, man: number, target: number, instead: 'over' | 'on'): void {
  own[man] ??= scene.proposals[man]!;
  scene.propose(man, insteadOf(scene.proposals[man]!, target, instead === 'on' ? PLAIN_CLIMB : lone, instead));
}

/** Whoever in the box nobody has within a man's reach, nearest to his nose; a man on the line before a linebacker. -1 for nobody. */
export function nearestFreeMan(scene: Scene, man: number, free: Accept): number {
  for (const level of [scene.first, scene.linebackers]) {
    let best = NOBODY;
    for (const d of level)
      if (
        free(scene, man, NOBODY, d) &&
        away(scene, man, d) <= LATERAL_REACH &&
        (best === NOBODY || away(scene, man, d) < away(scene, man, best))
      )
        best = d;
    if (best !== NOBODY) return best;
  }
  return NOBODY;
}
