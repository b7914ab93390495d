import { lessThan } from '../../geometry/compare';
import { EPSILON, HEAD_UP, SHADE } from '../../geometry/tolerances';
import { coveredIndex } from '../../identify/line';
import type { CoverMap, SceneDefender, SceneMan, Stretch } from '../scene';

/** A definition of "covered" on one line, ready for any front: `first` are the indices of the defenders on the first level. */
export type LineCover = (first: readonly number[], defenders: readonly SceneDefender[]) => CoverMap;
type Cover = (line: readonly SceneMan[]) => LineCover;

const NOBODYS: readonly number[] = [];

const around = ({ x }: SceneMan, reach: number): Stretch => ({ from: x - reach - EPSILON, to: x + reach + EPSILON });

/** Adds a defender to a man's list, the nearer nose first; a tie goes to the one nearer the ball. */
function put(
  his: readonly number[],
  defender: number,
  { x: nose }: SceneMan,
  defenders: readonly SceneDefender[],
): readonly number[] {
  const { x } = defenders[defender]!;
  const isNearer = (other: number): boolean => {
    const theirs = defenders[other]!.x;
    const gap = Math.abs(x - nose) - Math.abs(theirs - nose);
    return Math.abs(gap) > EPSILON ? gap < 0 : Math.abs(x) < Math.abs(theirs);
  };
  const all = his.slice();
  let at = his.length;
  for (; at > 0 && isNearer(his[at - 1]!); at--) all[at] = his[at - 1]!;
  all[at] = defender;
  return all;
}

/** Adds a defender to the list of the man at a place of the line. */
function add(
  men: (readonly number[])[],
  at: number,
  defender: number,
  line: readonly SceneMan[],
  all: readonly SceneDefender[],
): void {
  men[at] = men[at]!.length === 0 ? [defender] : put(men[at]!, defender, line[at]!, all);
}

/** A first-level man head-up or shaded on me is mine. */
const shoulders: Cover = (line) => {
  const nobody = line.map(() => NOBODYS);
  const regions = line.map((man) => around(man, SHADE));
  return (first, defenders) => {
    const men = nobody.slice();
    for (const d of first) {
      const on = coveredIndex(defenders[d]!.x, line);
      if (on >= 0) add(men, on, d, line, defenders);
    }
    return { men, regions };
  };
};

/**
 * From just past my nose on the play side up to the next man's. A man who owns head-up defenders has his region begin half a foot on
 * the back side of his nose instead, and his back-side neighbour's ends there: the regions of a line never overlap.
 */
const playsideRegion =
  (ownsHeadUp: (man: SceneMan) => boolean): Cover =>
  (line) => {
    const nobody = line.map(() => NOBODYS);
    const start = line.map((man) => (ownsHeadUp(man) ? man.x - HEAD_UP - EPSILON : man.x + HEAD_UP + 2 * EPSILON));
    const last = line.length - 1;
    const regions = start.map((from, man): Stretch => ({ from, to: man < last ? start[man + 1]! : Infinity }));
    return (first, defenders) => {
      const men = nobody.slice();
      for (const d of first) {
        const { x } = defenders[d]!;
        let man = last;
        while (man >= 0 && x < start[man]!) man--;
        if (man >= 0) add(men, man, d, line, defenders);
      }
      // Two men in one region: the one farthest back side is mine (a body’s width apart, that is the nearer nose), the others belong to the
      // playside neighbour, who does the same with them and his own: nobody’s man stands across the next man’s.
      for (let i = 0; i < last; i++) {
        const his = men[i]!;
        if (his.length < 2) continue;
        const mine = his.reduce((a, b) => (defenders[b]!.x < defenders[a]!.x ? b : a));
        for (const other of his) if (other !== mine) add(men, i + 1, other, line, defenders);
        men[i] = [mine];
      }
      return { men, regions };
    };
  };

/** Nobody is anybody's: defenders are numbered instead. */
const count: Cover = (line) => {
  const cover: CoverMap = { men: line.map(() => NOBODYS), regions: line.map((man) => around(man, 0)) };
  return () => cover;
};

const playSideMan = (man: SceneMan): boolean => !lessThan(man.x, 0);

/** The definitions of "covered" a scheme may choose, by the words of its `cover` line. */
export const COVERS = {
  shoulders,
  'playside region': playsideRegion(() => false),
  'playside region, head-up is mine': playsideRegion(() => true),
  'playside region, head-up is mine play side': playsideRegion(playSideMan),
  'playside region, head-up is mine back side': playsideRegion((man) => !playSideMan(man)),
  count,
} as const satisfies Record<string, Cover>;

export type CoverName = keyof typeof COVERS;
