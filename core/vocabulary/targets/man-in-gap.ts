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
        const nose = scene.men[me]!.x;
        let best = NOBODY;
        let least = Infinity;
        for (const d of scene.first) {
          const { x } = scene.defenders[d]!;
          if (!fillsGap(x, edges.lo, edges.hi) || Math.abs(x - nose) >= least || !accept(scene, me, him, d)) continue;
          best = d;
          least = Math.abs(x - nose);
        }
        return best;
      },
    };
  },
};
