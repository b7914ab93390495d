import type { Scene } from '../vocabulary/scene';

export interface Match {
  readonly climber: number;
  readonly linebacker: number;
}

/**
 * Matches climbers to linebackers without crossing, least total lateral distance (feet, from each climber's own nose), as many as
 * there are of the fewer. Ties: the more playside linebacker. `fixed` pairs are not crossed either, where that is possible.
 */
export function matchWithoutCrossing(
  scene: Scene, climbers: readonly number[], linebackers: readonly number[], fixed: readonly { man: number; defender: number }[],
): Match[] {
  const men = climbers.map((man, climber) => ({ man, climber })).sort((a, b) => scene.men[b.man]!.x - scene.men[a.man]!.x);
  const backers = [...linebackers].sort((a, b) => scene.defenders[b]!.x - scene.defenders[a]!.x || a - b);
  const size = Math.min(men.length, backers.length);
  const crosses = (man: number, backer: number): boolean => fixed.some((f) =>
    (scene.men[man]!.x - scene.men[f.man]!.x) * (scene.defenders[backer]!.x - scene.defenders[f.defender]!.x) < 0);
  let best: Match[] = [];
  let bestCost = Infinity;
  const walk = (m: number, b: number, picked: Match[], cost: number): void => {
    if (picked.length === size) {
      if (cost < bestCost - 1e-6) {
        best = picked;
        bestCost = cost;
      }
      return;
    }
    if (cost >= bestCost || m >= men.length || b >= backers.length) return;
    const { man, climber } = men[m]!;
    const backer = backers[b]!;
    const away = Math.abs(scene.men[man]!.x - scene.defenders[backer]!.x) + (crosses(man, backer) ? CROSSING : 0);
    walk(m + 1, b + 1, [...picked, { climber, linebacker: backer }], cost + away);
    walk(m, b + 1, picked, cost);
    walk(m + 1, b, picked, cost);
  };
  walk(0, 0, [], 0);
  return best;
}

/** Crossing a man who already chose costs more than any distance on the field. */
const CROSSING = 1000;
