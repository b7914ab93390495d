import { NOBODY } from '../scene';
import type { TargetWord } from '../word';

export const force: TargetWord = {
  says: ['the force', 'a force'],
  help: 'The man who must turn the play back in on the play side.',
  offTheLine: true,
  find: () => ({
    claim: 'named',
    every: false,
    seek: (scene, me, him, accept) => {
      const { force } = scene.edge.playside;
      return force !== NOBODY && accept(scene, me, him, force) ? force : NOBODY;
    },
  }),
};
