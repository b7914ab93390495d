import { NOBODY } from '../scene';
import type { TargetWord } from '../word';

export const him: TargetWord = {
  says: ['him'],
  subject: 'he',
  help: 'The defender the last “there is” of the sentence names; without one, the first that a condition names.',
  pointsBack: true,
  find: () => ({
    claim: null,
    every: false,
    seek: (scene, me, him, accept) => (him !== NOBODY && accept(scene, me, him, him) ? him : NOBODY),
  }),
};
