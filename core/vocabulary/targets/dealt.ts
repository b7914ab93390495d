import { NOBODY } from '../scene';
import type { TargetWord } from '../word';

export const dealt: TargetWord = {
  says: ['the man dealt to {who:man}'],
  help: 'The defender a "deal" line of the scheme gives that man on this front.',
  find: (slots) => {
    const who = slots.man('who');
    return {
      claim: null,
      every: false,
      seek: (scene, me, him, accept) => {
        const man = who(scene, me);
        const his = man === NOBODY ? NOBODY : (scene.dealt[man] ?? NOBODY);
        return his !== NOBODY && accept(scene, me, him, his) ? his : NOBODY;
      },
    };
  },
};
