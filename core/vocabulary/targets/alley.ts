import type { TargetWord } from '../word';

export const alley: TargetWord = {
  says: ['the alley'],
  help: 'The man next inside the force on the play side.',
  offTheLine: true,
  find: () => ({
    claim: 'named',
    every: false,
    seek: (scene, me, him, accept) =>
      scene.edge.playside.alley >= 0 && accept(scene, me, him, scene.edge.playside.alley)
        ? scene.edge.playside.alley
        : -1,
  }),
};
