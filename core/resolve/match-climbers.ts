import type { Scene } from '../vocabulary/scene';

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
export function matchWithoutCrossing(scene: Scene, climbers: readonly number[], linebackers: readonly number[], fixed: readonly FixedPair[]): number[] {
  const [men, backers] = [climbers.length, linebackers.length];
  const size = Math.min(men, backers);
  const picked = new Array<number>(men).fill(-1);
  let best = picked;
  let bestCost = Infinity;
  const away = (m: number, b: number): number => {
    const [man, backer] = [climbers[m]!, linebackers[b]!];
    const [from, to] = [scene.men[man]!.x, scene.defenders[backer]!.x];
    let cost = Math.abs(from - to);
    for (const f of fixed) if ((from - scene.men[f.man]!.x) * (to - scene.defenders[f.defender]!.x) < 0) cost += CROSSING;
    return cost;
  };
  const walk = (m: number, b: number, count: number, cost: number): void => {
    if (count === size) {
      if (cost < bestCost - 1e-6) {
        best = [...picked];
        bestCost = cost;
      }
      return;
    }
    if (cost >= bestCost || men - m < size - count || backers - b < size - count) return;
    picked[m] = b;
    walk(m + 1, b + 1, count + 1, cost + away(m, b));
    picked[m] = -1;
    walk(m, b + 1, count, cost);
    walk(m + 1, b, count, cost);
  };
  walk(0, 0, 0, 0);
  return best;
}
