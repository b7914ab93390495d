import { NOBODY } from '../scene';
import type { TargetWord } from '../word';

export const farLinebacker: TargetWord = {
  says: ['the far linebacker'],
  help: 'The last box linebacker, counted from the play side; handed out, the last one nobody has.',
  offTheLine: true,
  find: () => ({
    claim: 'free',
    every: false,
    seek: (scene, me, him, accept) => {
      for (let i = scene.linebackers.length - 1; i >= 0; i--)
        if (accept(scene, me, him, scene.linebackers[i]!)) return scene.linebackers[i]!;
      return NOBODY;
    },
  }),
};
