import type { TargetWord } from '../word';
import { NOBODY } from '../scene';

export const safety: TargetWord = {
  says: ['the first free safety'],
  help: 'A defender marked safety, else one of the third level: the one nearest the ball whom nobody has.',
  offTheLine: true,
  find: () => ({
    claim: 'free',
    every: false,
    seek: (scene, me, him, accept) => {
      let best = NOBODY;
      for (const d of scene.defenders) {
        if (d.level < 3 && d.mark !== 'safety') continue;
        if ((best === NOBODY || Math.abs(d.x) < Math.abs(scene.defenders[best]!.x)) && accept(scene, me, him, d.index))
          best = d.index;
      }
      return best;
    },
  }),
};
