import { NOBODY } from '../scene';
import type { TargetWord } from '../word';

export const corner: TargetWord = {
  says: ['the corner'],
  help: 'The widest defender on the play side, or the one the coach marked.',
  offTheLine: true,
  find: () => ({
    claim: 'named',
    every: false,
    seek: (scene, me, him, accept) => {
      const { corner } = scene.edge.playside;
      return corner !== NOBODY && accept(scene, me, him, corner) ? corner : NOBODY;
    },
  }),
};
