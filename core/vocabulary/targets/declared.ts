import { NOBODY } from '../scene';
import { declaredOf } from '../threats';
import type { TargetWord } from '../word';

export const declared: TargetWord = {
  says: ['the declared linebacker'],
  help: 'With whom a protection counts: of two linebackers the one away from the back, of three the middle one; whoever has walked up inside the tackles is a linebacker. A Mike the coach has declared holds over it.',
  offTheLine: true,
  find: () => ({
    claim: null,
    every: false,
    declares: true,
    seek: (scene, me, him, accept) => {
      const found = declaredOf(scene);
      return found !== NOBODY && accept(scene, me, him, found) ? found : NOBODY;
    },
  }),
};
