import type { TargetWord } from '../word';

export const him: TargetWord = {
  says: ['him'],
  subject: 'he',
  help: 'The defender the last “there is” of the sentence names; without one, the first that a condition names.',
  find: () => ({
    claim: null,
    every: false,
    seek: (scene, me, accept) => (scene.him >= 0 && accept(scene, me, scene.him) ? scene.him : -1),
  }),
};
