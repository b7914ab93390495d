import type { TargetWord } from '../word';

export const force: TargetWord = {
  says: ['the force', 'a force'],
  help: 'The man who must turn the play back in on the play side.',
  offTheLine: true,
  find: () => ({
    claim: 'named',
    every: false,
    seek: (scene, me, him, accept) =>
      scene.edge.playside.force >= 0 && accept(scene, me, him, scene.edge.playside.force)
        ? scene.edge.playside.force
        : -1,
  }),
};
