import type { TargetWord } from '../word';

export const farLinebacker: TargetWord = {
  says: ['the far linebacker'],
  help: 'The last box linebacker, counted from the play side.',
  find: () => ({
    claim: 'named',
    every: false,
    seek: (scene, me, accept) => {
      const far = scene.linebackers[scene.linebackers.length - 1];
      return far !== undefined && accept(scene, me, far) ? far : -1;
    },
  }),
};
