import { moreThan } from '../../geometry/compare';
import { outward } from '../finding';
import { NOBODY, type Scene } from '../scene';
import type { TargetWord } from '../word';

/** From the nose of his inside neighbour to the nose of his outside one, feet; a man without one reaches as far as a usual split. */
const REACH = 4;

function within(scene: Scene, man: number, defender: number): boolean {
  const { x, backside, playside } = scene.men[man]!;
  const at = scene.defenders[defender]!.x;
  const lo = backside === NOBODY ? x - REACH : scene.men[backside]!.x;
  const hi = playside === NOBODY ? x + REACH : scene.men[playside]!.x;
  return moreThan(at, lo) && moreThan(hi, at);
}

/** Forms from here on look to the inside first; the others take the nearest nose. */
const INSIDE_FIRST = 2;

export const manBeside: TargetWord = {
  says: ['the man beside me', 'a man beside me', 'the inside man beside me', 'an inside man beside me'],
  help: 'A first-level defender on me or in one of my two gaps: the nearest nose, or the one nearest the ball.',
  find: (slots) => {
    const insideFirst = slots.form >= INSIDE_FIRST;
    return {
      claim: null, every: false,
      seek: (scene, me, accept) => {
        if (me < 0 || me >= scene.lineCount) return NOBODY;
        const nose = scene.men[me]!.x;
        const rank = (d: number): number => (insideFirst ? scene.defenders[d]!.x * outward(scene, me) : Math.abs(scene.defenders[d]!.x - nose));
        let best = NOBODY;
        for (const d of scene.first) if (within(scene, me, d) && (best === NOBODY || rank(d) < rank(best)) && accept(d)) best = d;
        return best;
      },
    };
  },
};
