import type { TargetWord } from '../word';

export const alley: TargetWord = {
  says: ['the alley'],
  help: 'The man next inside the force on the play side.',
  find: () => ({
    claim: 'named', every: false,
    seek: (scene, _me, accept) => (scene.edge.playside.alley >= 0 && accept(scene.edge.playside.alley) ? scene.edge.playside.alley : -1),
  }),
};
