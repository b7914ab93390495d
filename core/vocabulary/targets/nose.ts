import { coveringMen, firstOf } from '../finding';
import type { TargetWord } from '../word';

export const nose: TargetWord = {
  says: ['the nose', 'a nose'],
  help: 'The first-level defender head-up or shaded on the centre.',
  find: () => ({
    claim: null,
    every: false,
    seek: (scene, me, him, accept) => firstOf(scene, me, him, coveringMen(scene, scene.posts.C), accept),
  }),
};
