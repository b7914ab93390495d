import type { Scene } from './scene';

/** Somebody off the line and out of the box may still come when he stands this near to the ball, feet. */
export const RUSH_REACH = 30;
/** Of those, so many at most. */
const OTHERS = 2;
/** Where a rush goes, feet behind the ball: a quarterback's usual depth. Which rusher is the more dangerous does not hang on the exact one. */
const RUSH_DEPTH = 15;

/**
 * Who can rush, the most dangerous first: the men on the line, the linebackers of the box and at most two others within ten yards of the
 * ball. Danger is nearness to the quarterback; of two alike the one on the back side.
 */
export const threatsOf = (scene: Scene): readonly number[] =>
  rushersOf(scene).sort((a, b) => toQuarterback(scene, a) - toQuarterback(scene, b) || a - b);

function rushersOf(scene: Scene): number[] {
  const sure = [...scene.first, ...scene.linebackers];
  const away = (d: number): number => Math.hypot(scene.defenders[d]!.x, scene.defenders[d]!.y);
  const others = scene.defenders
    .map((d) => d.index)
    .filter((d) => !sure.includes(d) && away(d) <= RUSH_REACH)
    .sort((a, b) => away(a) - away(b) || a - b);
  return [...sure, ...others.slice(0, OTHERS)];
}

const toQuarterback = (scene: Scene, d: number): number =>
  Math.hypot(scene.defenders[d]!.x, scene.defenders[d]!.y + RUSH_DEPTH);

/** The men on the line by how near they stand to the ball, the back side first where two are alike. */
export const nearestTheBall = (scene: Scene): number[] =>
  [...scene.first].sort((a, b) => Math.abs(scene.defenders[a]!.x) - Math.abs(scene.defenders[b]!.x) || a - b);
