import { HEAD_UP } from '../../geometry/tolerances';
import { moreThan } from '../../geometry/compare';
import { firstOf } from '../finding';
import { NUMBERS } from '../numbers';
import { nearestTheBall } from '../threats';
import type { TargetWord } from '../word';

export const outermostOnLine: TargetWord = {
  says: [
    'the {n:number} outermost men on the line {side:wing}',
    'the {n:number} innermost men on the line {side:wing}',
  ],
  help: 'The widest men on the line on one side of the ball, or those nearest to it; a man head-up on the centre is on neither.',
  find: (slots) => {
    const n = NUMBERS.indexOf(slots.text('n'));
    const innermost = slots.form === 1;
    const sign = slots.text('side') === 'playside' ? 1 : -1;
    return {
      claim: null,
      every: true,
      seek: (scene, me, him, accept) => {
        const here = nearestTheBall(scene).filter((d) => moreThan(scene.defenders[d]!.x * sign, HEAD_UP));
        return firstOf(scene, me, him, (innermost ? here : here.reverse()).slice(0, n), accept);
      },
    };
  },
};
