import { lessThan } from '../../geometry/compare';
import { NOBODY } from '../scene';
import type { TargetWord } from '../word';

export const middleLinebacker: TargetWord = {
  says: ['the linebacker nearest the ball'],
  help: 'The man in the middle of this front, whoever is declared the Mike; of two alike the one on the play side.',
  offTheLine: true,
  find: () => ({
    claim: 'named',
    every: false,
    seek: (scene, me, him, accept) => {
      let best = NOBODY;
      const off = (d: number): number => Math.abs(scene.defenders[d]!.x);
      for (const d of scene.linebackers)
        if ((best === NOBODY || lessThan(off(d), off(best))) && accept(scene, me, him, d)) best = d;
      return best;
    },
  }),
};
