import { fillsGap } from '../../identify/line';
import { firstOf } from '../finding';
import type { TargetWord } from '../word';

export const manInGap: TargetWord = {
  says: ['the man in {gap:gap}', 'a man in {gap:gap}'],
  help: 'The first-level defender whose nose stands in that gap, the one nearest me when there are two.',
  find: (slots) => {
    const gap = slots.gap('gap');
    return {
      claim: null, every: false,
      seek: (scene, me, accept) => {
        const edges = gap(scene, me);
        if (!edges) return -1;
        const nose = scene.men[me]!.x;
        const inside = scene.first.filter((d) => fillsGap(scene.defenders[d]!.x, edges.lo, edges.hi))
          .sort((a, b) => Math.abs(scene.defenders[a]!.x - nose) - Math.abs(scene.defenders[b]!.x - nose));
        return firstOf(inside, accept);
      },
    };
  },
};
