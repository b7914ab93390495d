import type { Scene } from '../../vocabulary/scene';

/** A pair that stands already: it is not crossed, where that is possible. */
export interface FixedPair {
  readonly man: number;
  readonly defender: number;
}

/** Crossing a man who already chose costs more than any distance on the field. */
const CROSSING = 1000;

/**
 * Matches climbers to linebackers without crossing, least total lateral distance (feet, from each climber's own nose), as many as
 * there are of the fewer. Both come play side first. Gives for each climber the place of his linebacker in the list, or -1.
 * Ties: the more playside linebacker.
 */
export function matchWithoutCrossing(
  scene: Scene,
  climbers: readonly number[],
  linebackers: readonly number[],
  fixed: readonly FixedPair[],
): readonly number[] {
  const size = Math.min(climbers.length, linebackers.length);
  const costs: number[] = [];
  for (const man of climbers) for (const backer of linebackers) costs.push(costOf(scene, man, backer, fixed));
  const nobody = climbers.map(() => -1);
  const search: Search = {
    men: climbers.length,
    backers: linebackers.length,
    size,
    costs,
    picked: nobody.slice(),
    best: nobody,
    bestCost: Infinity,
  };
  walk(search, 0, 0, 0, 0);
  return search.best;
}

function costOf(scene: Scene, man: number, backer: number, fixed: readonly FixedPair[]): number {
  const [from, to] = [scene.men[man]!.x, scene.defenders[backer]!.x];
  let cost = Math.abs(from - to);
  for (const f of fixed) if ((from - scene.men[f.man]!.x) * (to - scene.defenders[f.defender]!.x) < 0) cost += CROSSING;
  return cost;
}

interface Search {
  readonly men: number;
  readonly backers: number;
  /** How many can be matched. */
  readonly size: number;
  /** Of every pair, one climber's after the other's. */
  readonly costs: readonly number[];
  readonly picked: number[];
  best: readonly number[];
  bestCost: number;
}

/** Tries climbers from `m` on with linebackers from `b` on; `count` are matched so far, at `cost`. */
function walk(search: Search, m: number, b: number, count: number, cost: number): void {
  const { men, backers, size, picked } = search;
  if (count === size) {
    if (cost < search.bestCost - 1e-6) {
      search.best = picked.slice();
      search.bestCost = cost;
    }
    return;
  }
  if (cost >= search.bestCost || men - m < size - count || backers - b < size - count) return;
  picked[m] = b;
  walk(search, m + 1, b + 1, count + 1, cost + search.costs[m * backers + b]!);
  picked[m] = -1;
  walk(search, m, b + 1, count, cost);
  walk(search, m + 1, b, count, cost);
}
