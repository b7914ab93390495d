import type { TargetWord } from '../word';

export const force: TargetWord = {
  says: ['the force', 'a force'],
  help: 'The man who must turn the play back in on the play side.',
  find: () => ({
    claim: 'named',
    every: false,
    seek: (scene, me, accept) =>
      scene.edge.playside.force >= 0 && accept(scene, me, scene.edge.playside.force) ? scene.edge.playside.force : -1,
  }),
};
