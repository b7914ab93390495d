import { lessThan, moreThan } from '../../geometry/compare';
import { NOBODY } from '../scene';
import type { TargetWord } from '../word';

export const manBetween: TargetWord = {
  says: [
    'the first free second-level man between {one:man} and {other:man}',
    'a second-level man between {one:man} and {other:man}',
  ],
  help: 'The second-level man, in the box or not, whom nobody has and whose nose lies between those of two men: the one nearest to the first of them. The corner is not meant.',
  offTheLine: true,
  find: (slots) => {
    const [one, other] = [slots.man('one'), slots.man('other')];
    return {
      claim: 'free',
      every: false,
      seek: (scene, me, him, accept) => {
        const [a, b] = [one(scene, me), other(scene, me)];
        if (a === NOBODY || b === NOBODY) return NOBODY;
        const [from, to] = [scene.men[a]!.x, scene.men[b]!.x];
        const side = to > 0 || (to === 0 && from > 0) ? 'playside' : 'backside';
        let best = NOBODY;
        for (const d of scene.defenders) {
          if (d.level !== 2 || d.index === scene.edge[side].corner) continue;
          if (!moreThan(d.x, Math.min(from, to)) || !lessThan(d.x, Math.max(from, to))) continue;
          const isNearer = best === NOBODY || Math.abs(d.x - from) < Math.abs(scene.defenders[best]!.x - from);
          if (isNearer && accept(scene, me, him, d.index)) best = d.index;
        }
        return best;
      },
    };
  },
};
