import { moreThan } from '../geometry/compare';
import { EPSILON, WIDE_OF_ME } from '../geometry/tolerances';
import { isHeadUp } from '../identify/line';
import { NOBODY, type Lineup, type Scene, type Stretch } from './scene';
import type { Accept, ManFinder, Slots } from './word';

/** First accepted index of a list, front to back. */
export function firstOf(scene: Scene, me: number, him: number, list: readonly number[], accept: Accept): number {
  for (const d of list) if (accept(scene, me, him, d)) return d;
  return NOBODY;
}

export const ORDINALS = ['first', 'second', 'third', 'outermost'] as const;

/** All but the last are passed over. */
const OUTERMOST = -1;

/** How many a phrase passes over with its ordinal; none when it has no ordinal. */
export function passedOver(slots: Slots): number {
  const nth = slots.has('nth') ? slots.text('nth') : 'first';
  return nth === 'outermost' ? OUTERMOST : ORDINALS.indexOf(nth as (typeof ORDINALS)[number]);
}

/**
 * The first-level defender in a stretch of the line accepted after so many `passedOver`, walking in a direction from the back side to the
 * play side (1) or the other way (-1).
 */
export function nthOnLine(
  scene: Scene,
  me: number,
  him: number,
  direction: 1 | -1,
  { from, to }: Stretch,
  passed: number,
  accept: Accept,
): number {
  const { first, defenders } = scene;
  let left = passed;
  let last = NOBODY;
  for (let i = direction > 0 ? 0 : first.length - 1; i >= 0 && i < first.length; i += direction) {
    const d = first[i]!;
    const { x } = defenders[d]!;
    if (x < from || x >= to || !accept(scene, me, him, d)) continue;
    if (left === 0) return d;
    left--;
    last = d;
  }
  return passed === OUTERMOST ? last : NOBODY;
}

/** Everything farther in a direction than a place, feet. */
export const beyond = (x: number, direction: 1 | -1): Stretch =>
  direction > 0 ? { from: x + EPSILON, to: Infinity } : { from: -Infinity, to: x - EPSILON };

/** +1 when this man's outside is the play side, -1 when it is the back side. The centre counts as play side. */
export const outward = ({ men }: Lineup, man: number): 1 | -1 => (men[man]!.x < 0 ? -1 : 1);

const NONE: readonly number[] = [];

/** First-level defenders head-up or shaded on a man of the line, his nearest first. */
export const coveringMen = (scene: Scene, man: number): readonly number[] => scene.on[man] ?? NONE;

/** Does a defender stand to a man in one of the ways a sentence asks for? The centre has no inside and outside. */
export function stands(scene: Scene, defender: number, man: number, how: readonly string[]): boolean {
  for (const way of how) if (standsSo(scene, defender, man, way)) return true;
  return false;
}

function standsSo(scene: Scene, defender: number, man: number, way: string): boolean {
  const d = scene.defenders[defender]!.x - scene.men[man]!.x;
  const headUp = isHeadUp(d, 0);
  if (headUp || way === 'head-up') return headUp && way === 'head-up';
  if (way === 'wide') return man !== scene.posts.C && moreThan(d * outward(scene, man), WIDE_OF_ME);
  if (way === 'playside' || way === 'backside') return d > 0 === (way === 'playside');
  return man !== scene.posts.C && d * outward(scene, man) > 0 === (way === 'outside');
}

/** How a defender stands to a man, in one word. */
export function sayStand(scene: Scene, defender: number, man: number): string {
  if (isHeadUp(scene.defenders[defender]!.x, scene.men[man]!.x)) return 'head-up on';
  const side = scene.defenders[defender]!.x > scene.men[man]!.x ? 'playside' : 'backside';
  return man === scene.posts.C ? `${side} of` : `${stands(scene, defender, man, ['inside']) ? 'inside' : 'outside'} of`;
}

/** Is somebody other than this man set to block him? */
export function hasOwner(scene: Scene, me: number, defender: number): boolean {
  const owners = scene.owners[defender]!;
  if (owners !== 1) return owners > 1;
  const mine = scene.proposals[me];
  return !mine || (mine.target !== defender && !mine.all.includes(defender));
}

/** Is a man this one, or another of his trade on his side? Nobody is of nobody's trade. */
export function isOfTrade({ men }: Lineup, man: number, other: number): boolean {
  if (other === NOBODY) return false;
  const { post } = men[other]!;
  return man === other || (post !== null && men[man]!.post === post);
}

/** The one man of a kind in this formation: the back, the fullback, the H. */
export const manOfKind =
  (kind: Lineup['men'][number]['kind']): ManFinder =>
  ({ men }) =>
    men.findIndex((m) => m.kind === kind);

export const always: Accept = () => true;

/** The neighbour on the line in a direction; -1 for none and for men off the line. */
export function neighbourOf(lineup: Lineup, self: number, dir: string): number {
  if (self >= lineup.lineCount) return NOBODY;
  const man = lineup.men[self]!;
  if (dir === 'playside') return man.playside;
  if (dir === 'backside') return man.backside;
  return (dir === 'outside') === outward(lineup, self) > 0 ? man.playside : man.backside;
}

/** The gap between two men, as its two noses; `null` when one of them is not there. */
export function betweenMen({ men }: Lineup, one: number, other: number): { lo: number; hi: number } | null {
  if (one === NOBODY || other === NOBODY) return null;
  const a = men[one]!.x;
  const b = men[other]!.x;
  return { lo: Math.min(a, b), hi: Math.max(a, b) };
}
