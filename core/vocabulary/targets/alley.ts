import type { TargetWord } from '../word';

export const alley: TargetWord = {
  says: ['the alley'],
  help: 'The man next inside the force on the play side.',
  find: () => ({
    claim: 'named',
    every: false,
    seek: (scene, me, accept) =>
      scene.edge.playside.alley >= 0 && accept(scene, me, scene.edge.playside.alley) ? scene.edge.playside.alley : -1,
  }),
};
