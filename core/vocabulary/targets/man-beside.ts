import { atLeast, atMost } from '../../geometry/compare';
import { HEAD_UP } from '../../geometry/tolerances';
import { outward } from '../finding';
import { NOBODY, type Scene } from '../scene';
import type { TargetWord } from '../word';

/** A man without a neighbour reaches as far as a usual split, feet; else from one neighbour's nose to the other's, head-up on them included. */
const REACH = 4;

/** Does a first-level defender stand on a man of the line, in one of his two gaps or head-up on his neighbour? */
export function isBeside(scene: Scene, man: number, defender: number): boolean {
  const { x, backside, playside } = scene.men[man]!;
  const at = scene.defenders[defender]!.x;
  const lo = backside === NOBODY ? x - REACH : scene.men[backside]!.x - HEAD_UP;
  const hi = playside === NOBODY ? x + REACH : scene.men[playside]!.x + HEAD_UP;
  return atLeast(at, lo) && atMost(at, hi);
}

/** Forms from here on look to the inside first; the others take the nearest nose. */
const INSIDE_FIRST = 2;

export const manBeside: TargetWord = {
  says: ['the man beside me', 'a man beside me', 'the inside man beside me', 'an inside man beside me'],
  aboutMe: true,
  help: 'A first-level defender on me, in one of my two gaps or head-up on my neighbour: the nearest nose, or the one nearest the ball.',
  find: (slots) => {
    const insideFirst = slots.form >= INSIDE_FIRST;
    return {
      claim: null,
      every: false,
      seek: (scene, me, him, accept) => {
        if (me < 0 || me >= scene.lineCount) return NOBODY;
        const nose = scene.men[me]!.x;
        const rank = (d: number): number =>
          insideFirst ? scene.defenders[d]!.x * outward(scene, me) : Math.abs(scene.defenders[d]!.x - nose);
        let best = NOBODY;
        for (const d of scene.first)
          if (isBeside(scene, me, d) && (best === NOBODY || rank(d) < rank(best)) && accept(scene, me, him, d))
            best = d;
        return best;
      },
    };
  },
};
