import { NOBODY } from '../scene';
import { freeOverhang } from './free-overhang';
import type { TargetWord } from '../word';

export const conflict: TargetWord = {
  says: ['the conflict man'],
  help: 'The second-level man who is read on purpose: the one the coach marked, else the first free overhang on the play side.',
  offTheLine: true,
  find: (slots) => {
    const overhang = freeOverhang.find(slots);
    return {
      claim: 'free',
      every: false,
      seek: (scene, me, him, accept) => {
        const marked = scene.defenders.find((d) => d.mark === 'conflict')?.index ?? NOBODY;
        if (marked === NOBODY) return overhang.seek(scene, me, him, accept);
        return accept(scene, me, him, marked) ? marked : NOBODY;
      },
    };
  },
};
