import { coveredIndex, isHeadUp } from '../identify/line';
import { NOBODY, type Scene } from './scene';
import type { Accept } from './word';

/** First accepted index of a list, front to back. */
export function firstOf(list: readonly number[], accept: Accept): number {
  for (let i = 0; i < list.length; i++) if (accept(list[i]!)) return list[i]!;
  return NOBODY;
}

/** First accepted index of a list, back to front. */
export function lastOf(list: readonly number[], accept: Accept): number {
  for (let i = list.length - 1; i >= 0; i--) if (accept(list[i]!)) return list[i]!;
  return NOBODY;
}

/** The `nth` accepted of a list ("first", "second", "third", "outermost"). */
export function nthOf(list: readonly number[], nth: string, accept: Accept): number {
  if (nth === 'outermost') return lastOf(list, accept);
  let left = ORDINALS.indexOf(nth as (typeof ORDINALS)[number]);
  return firstOf(list, (d) => accept(d) && left-- === 0);
}

export const ORDINALS = ['first', 'second', 'third', 'outermost'] as const;

/** +1 when this man's outside is the play side, -1 when it is the back side. The centre counts as play side. */
export const outward = (scene: Scene, man: number): 1 | -1 => (scene.men[man]!.x < 0 ? -1 : 1);

/** First-level defenders beyond a place, in the direction given, nearest first. */
export function beyond(scene: Scene, from: number, direction: 1 | -1): number[] {
  const found = scene.first.filter((d) => (scene.defenders[d]!.x - from) * direction > 1e-6);
  return direction > 0 ? found : found.reverse();
}

/** First-level defenders head-up or shaded on a man of the line, his nearest first. */
export function coveringMen(scene: Scene, man: number): number[] {
  if (man < 0 || man >= scene.lineCount) return [];
  const line = scene.men.slice(0, scene.lineCount);
  const nose = scene.men[man]!.x;
  return scene.first.filter((d) => coveredIndex(scene.defenders[d]!.x, line) === man)
    .sort((a, b) => Math.abs(scene.defenders[a]!.x - nose) - Math.abs(scene.defenders[b]!.x - nose));
}

/** How a defender stands to a man: the shades a sentence may ask for. */
export function standsTo(scene: Scene, defender: number, man: number): readonly string[] {
  const d = scene.defenders[defender]!.x - scene.men[man]!.x;
  if (isHeadUp(scene.defenders[defender]!.x, scene.men[man]!.x)) return ['head-up'];
  const side = d > 0 ? 'playside' : 'backside';
  const out = scene.men[man]!.id === 'C' ? [] : [d * outward(scene, man) > 0 ? 'outside' : 'inside'];
  return [side, ...out];
}

/** Is somebody other than this man set to block him? */
export const hasOwner = (scene: Scene, me: number, defender: number): boolean =>
  scene.proposals.some((p, man) => man !== me && (p.target === defender || p.all.includes(defender)));

/** Names the defender a condition found, unless the sentence has named one already. */
export function nameHim(scene: Scene, defender: number): boolean {
  if (defender === NOBODY) return false;
  if (scene.him === NOBODY) scene.him = defender;
  return true;
}

export const always: Accept = () => true;

/** The neighbour on the line in a direction; -1 for none and for men off the line. */
export function neighbourOf(scene: Scene, self: number, dir: string): number {
  if (self >= scene.lineCount) return NOBODY;
  const man = scene.men[self]!;
  if (dir === 'playside') return man.playside;
  if (dir === 'backside') return man.backside;
  return (dir === 'outside') === (outward(scene, self) > 0) ? man.playside : man.backside;
}
