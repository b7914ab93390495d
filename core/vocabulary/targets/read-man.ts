import type { TargetWord } from '../word';
import { NOBODY } from '../scene';

export const readMan: TargetWord = {
  says: ['the read man'],
  help: 'Whom the quarterback reads on this front.',
  asksOthers: true,
  find: () => ({
    claim: null,
    every: false,
    seek: (scene, me, him, accept) => {
      for (const man of scene.men) {
        const target = man.kind === 'quarterback-read' ? scene.proposals[man.index]!.target : NOBODY;
        if (target !== NOBODY && accept(scene, me, him, target)) return target;
      }
      return NOBODY;
    },
  }),
};
