import type { TargetWord } from '../word';

export const corner: TargetWord = {
  says: ['the corner'],
  help: 'The widest defender on the play side, or the one the coach marked.',
  offTheLine: true,
  find: () => ({
    claim: 'named',
    every: false,
    seek: (scene, me, him, accept) =>
      scene.edge.playside.corner >= 0 && accept(scene, me, him, scene.edge.playside.corner)
        ? scene.edge.playside.corner
        : -1,
  }),
};
