import { NOBODY } from '../scene';
import type { TargetWord } from '../word';

export const danger: TargetWord = {
  says: ['the most dangerous man', 'the most dangerous man {side:wing}'],
  help: 'Of all who can rush, the one nearest to the quarterback; on one side of the ball when the side is said.',
  find: (slots) => {
    const sign = !slots.has('side') ? 0 : slots.text('side') === 'playside' ? 1 : -1;
    return {
      claim: null,
      every: false,
      seek: (scene, me, him, accept) => {
        for (const d of scene.threats)
          if ((sign === 0 || scene.defenders[d]!.x * sign > 0) && accept(scene, me, him, d)) return d;
        return NOBODY;
      },
    };
  },
};
