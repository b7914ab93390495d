import { lessThan, moreThan } from '../../geometry/compare';
import { EPSILON, HEAD_UP, SHADE } from '../../geometry/tolerances';
import { coveredIndex } from '../../identify/line';
import type { CoverMap, SceneDefender, SceneMan } from '../scene';

type Cover = (line: readonly SceneMan[], first: readonly SceneDefender[]) => CoverMap;

/** A first-level man head-up or shaded on me is mine. */
const shoulders: Cover = (line, first) => {
  const men = line.map((): number[] => []);
  for (const d of first) {
    const on = coveredIndex(d.x, line);
    if (on >= 0) put(men[on]!, d, line[on]!, first);
  }
  return {
    men, side: (man, x) => (lessThan(x, line[man]!.x - SHADE) ? -1 : moreThan(x, line[man]!.x + SHADE) ? 1 : 0),
  };
};

/**
 * From just past my nose on the play side up to the next man's. A man who owns head-up defenders has his region begin half a foot on
 * the back side of his nose instead, and his back-side neighbour's ends there: the regions of a line never overlap.
 */
const playsideRegion = (ownsHeadUp: (man: SceneMan) => boolean): Cover => {
  const known = new WeakMap<readonly SceneMan[], Regions>();
  return (line, first) => {
    let regions = known.get(line);
    if (!regions) known.set(line, regions = regionsOf(line, ownsHeadUp));
    const { start, side } = regions;
    const men = line.map((): number[] => []);
    for (const d of first) {
      let man = line.length - 1;
      while (man >= 0 && d.x < start[man]!) man--;
      if (man >= 0) put(men[man]!, d, line[man]!, first);
    }
    // Two men in one region: the nearer nose is mine, the others belong to the playside neighbour.
    for (let i = 0; i + 1 < line.length; i++) {
      if (men[i]!.length < 2) continue;
      const next = men[i + 1]!;
      for (const other of men[i]!.splice(1)) put(next, first.find((d) => d.index === other)!, line[i + 1]!, first);
    }
    return { men, side };
  };
};

/** Where each man's region begins; it ends where the next one's does, the last one's nowhere. The same for every front. */
interface Regions {
  readonly start: readonly number[];
  readonly side: CoverMap['side'];
}

function regionsOf(line: readonly SceneMan[], ownsHeadUp: (man: SceneMan) => boolean): Regions {
  const start = line.map((man) => (ownsHeadUp(man) ? man.x - HEAD_UP - EPSILON : man.x + HEAD_UP + 2 * EPSILON));
  return { start, side: (man, x) => (x < start[man]! ? -1 : man + 1 < line.length && x >= start[man + 1]! ? 1 : 0) };
}

/** Adds a defender to a man's list, the nearer nose first; a tie goes to the one nearer the ball. */
function put(his: number[], defender: SceneDefender, man: SceneMan, first: readonly SceneDefender[]): void {
  const xOf = (index: number): number => first.find((d) => d.index === index)!.x;
  const nearer = (a: number, b: number): boolean => {
    const gap = Math.abs(a - man.x) - Math.abs(b - man.x);
    return Math.abs(gap) > 1e-6 ? gap < 0 : Math.abs(a) < Math.abs(b);
  };
  let at = his.length;
  while (at > 0 && nearer(defender.x, xOf(his[at - 1]!))) at--;
  his.splice(at, 0, defender.index);
}

const playSideMan = (man: SceneMan): boolean => !lessThan(man.x, 0);

/** The definitions of "covered" a scheme may choose, by the words of its `cover` line. */
export const COVERS = {
  shoulders,
  'playside region': playsideRegion(() => false),
  'playside region, head-up is mine': playsideRegion(() => true),
  'playside region, head-up is mine play side': playsideRegion(playSideMan),
  'playside region, head-up is mine back side': playsideRegion((man) => !playSideMan(man)),
  count: (line) => ({ men: line.map(() => []), side: (man, x) => (lessThan(x, line[man]!.x) ? -1 : moreThan(x, line[man]!.x) ? 1 : 0) }),
} as const satisfies Record<string, Cover>;

export type CoverName = keyof typeof COVERS;
