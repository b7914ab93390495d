import { fillsGap } from '../../identify/line';
import { NOBODY } from '../scene';
import type { TargetWord } from '../word';

export const firstToShow: TargetWord = {
  says: ['the first man to show in {gap:gap}'],
  help: 'Whoever fills that gap on the line; with nobody there, the linebacker who stands over it.',
  find: (slots) => {
    const gap = slots.gap('gap');
    return {
      claim: null,
      every: false,
      seek: (scene, me, him, accept) => {
        const edges = gap(scene, me);
        if (!edges) return NOBODY;
        for (const d of scene.first)
          if (fillsGap(scene.defenders[d]!.x, edges.lo, edges.hi) && accept(scene, me, him, d)) return d;
        for (const d of scene.linebackers)
          if (scene.defenders[d]!.x > edges.lo && scene.defenders[d]!.x < edges.hi && accept(scene, me, him, d))
            return d;
        return NOBODY;
      },
    };
  },
};
