import type { TargetWord } from '../word';

export const mike: TargetWord = {
  says: ['the Mike'],
  help: 'The zero of the count, as the centre declares him.',
  offTheLine: true,
  find: () => ({
    claim: 'named',
    every: false,
    seek: (scene, me, him, accept) => (scene.mike >= 0 && accept(scene, me, him, scene.mike) ? scene.mike : -1),
  }),
};
