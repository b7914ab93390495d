import { atLeast, atMost, lessThan, moreThan } from '../../geometry/compare';
import { HEAD_UP, SHADE } from '../../geometry/tolerances';
import { coveredIndex } from '../../identify/line';
import type { CoverMap, SceneDefender, SceneMan } from '../scene';

type Cover = (line: readonly SceneMan[], first: readonly SceneDefender[]) => CoverMap;

/** A first-level man head-up or shaded on me is mine. */
const shoulders: Cover = (line, first) => {
  const men = line.map((): number[] => []);
  for (const d of first) {
    const on = coveredIndex(d.x, line);
    if (on >= 0) men[on]!.push(d.index);
  }
  men.forEach((his, i) => his.sort((a, b) => nearer(line[i]!, first, a, b)));
  return {
    men, lo: line.map((m) => m.x - SHADE), hi: line.map((m) => m.x + SHADE),
    side: (man, x) => (lessThan(x, line[man]!.x - SHADE) ? -1 : moreThan(x, line[man]!.x + SHADE) ? 1 : 0),
  };
};

/**
 * From just past my nose on the play side up to the next man's. `headUpMine` moves every boundary half a foot to the back side,
 * so that a man head-up on me is mine instead of my back-side neighbour's.
 */
const playsideRegion = (headUpMine: boolean): Cover => (line, first) => {
  const shift = headUpMine ? -HEAD_UP : HEAD_UP;
  const lo = line.map((m) => m.x + shift);
  const hi = line.map((_, i) => (i + 1 < line.length ? line[i + 1]!.x + shift : Infinity));
  const side = (man: number, x: number): -1 | 0 | 1 => {
    const below = headUpMine ? lessThan(x, lo[man]!) : atMost(x, lo[man]!);
    const above = headUpMine ? atLeast(x, hi[man]!) : moreThan(x, hi[man]!);
    return below ? -1 : above ? 1 : 0;
  };
  const men = line.map((_, i) => first.filter((d) => side(i, d.x) === 0).map((d) => d.index));
  // Two men in one region: the nearer nose is mine, the others belong to the playside neighbour.
  for (let i = 0; i < line.length; i++) {
    const his = men[i]!.sort((a, b) => nearer(line[i]!, first, a, b));
    if (his.length > 1 && i + 1 < line.length) men[i + 1]!.push(...his.splice(1));
  }
  return { men, lo, hi, side };
};

/** Nearer this man's nose first; a tie goes to the one nearer the ball. */
function nearer(man: SceneMan, first: readonly SceneDefender[], a: number, b: number): number {
  const [one, other] = [placeOf(first, a), placeOf(first, b)];
  const gap = Math.abs(one - man.x) - Math.abs(other - man.x);
  return Math.abs(gap) > 1e-6 ? gap : Math.abs(one) - Math.abs(other);
}

const placeOf = (first: readonly SceneDefender[], index: number): number => first.find((d) => d.index === index)!.x;

/** The definitions of "covered" a scheme may choose, by the words of its `cover` line. */
export const COVERS = {
  shoulders,
  'playside region': playsideRegion(false),
  'playside region, head-up is mine': playsideRegion(true),
} as const satisfies Record<string, Cover>;

export type CoverName = keyof typeof COVERS;
