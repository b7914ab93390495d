import type { TargetWord } from '../word';

export const farLinebacker: TargetWord = {
  says: ['the far linebacker'],
  help: 'The last box linebacker, counted from the play side.',
  offTheLine: true,
  find: () => ({
    claim: 'named',
    every: false,
    seek: (scene, me, him, accept) => {
      const far = scene.linebackers[scene.linebackers.length - 1];
      return far !== undefined && accept(scene, me, him, far) ? far : -1;
    },
  }),
};
