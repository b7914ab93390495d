import { firstOf } from '../finding';
import { NUMBERS } from '../numbers';
import { nearestTheBall } from '../threats';
import type { TargetWord } from '../word';

export const nearestOnLine: TargetWord = {
  says: ['the {n:number} nearest men on the line'],
  help: 'The men on the line nearest to the ball, standing or not; of two alike the one on the back side.',
  find: (slots) => {
    const n = NUMBERS.indexOf(slots.text('n'));
    return {
      claim: null,
      every: true,
      seek: (scene, me, him, accept) => firstOf(scene, me, him, nearestTheBall(scene).slice(0, n), accept),
    };
  },
};
