import { fillsGap } from '../../identify/line';
import { NOBODY } from '../scene';
import type { TargetWord } from '../word';

export const manInGap: TargetWord = {
  says: ['the man in {gap:gap}', 'a man in {gap:gap}'],
  aboutMe: true,
  help: 'The first-level defender whose nose stands in that gap, the one nearest me when there are two.',
  find: (slots) => {
    const gap = slots.gap('gap');
    return {
      claim: null,
      every: false,
      seek: (scene, me, him, accept) => {
        const edges = gap(scene, me);
        if (!edges) return -1;
        const away = (d: number): number => Math.abs(scene.defenders[d]!.x - scene.men[me]!.x);
        let best = NOBODY;
        for (const d of scene.first) {
          if (
            fillsGap(scene.defenders[d]!.x, edges.lo, edges.hi) &&
            (best === NOBODY || away(d) < away(best)) &&
            accept(scene, me, him, d)
          )
            best = d;
        }
        return best;
      },
    };
  },
};
