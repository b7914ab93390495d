import { NOBODY } from '../scene';
import type { TargetWord } from '../word';

export const alley: TargetWord = {
  says: ['the alley'],
  help: 'The man next inside the force on the play side.',
  offTheLine: true,
  find: () => ({
    claim: 'named',
    every: false,
    seek: (scene, me, him, accept) => {
      const { alley } = scene.edge.playside;
      return alley !== NOBODY && accept(scene, me, him, alley) ? alley : NOBODY;
    },
  }),
};
