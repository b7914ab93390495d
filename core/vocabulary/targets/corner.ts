import type { TargetWord } from '../word';

export const corner: TargetWord = {
  says: ['the corner'],
  help: 'The widest defender on the play side, or the one the coach marked.',
  find: () => ({
    claim: 'named',
    every: false,
    seek: (scene, me, accept) =>
      scene.edge.playside.corner >= 0 && accept(scene, me, scene.edge.playside.corner)
        ? scene.edge.playside.corner
        : -1,
  }),
};
