import { HEAD_UP } from '../../geometry/tolerances';
import { beyond, nthOnLine, outward, passedOver } from '../finding';
import type { TargetWord } from '../word';

/** The form that means every man. */
const EVERY = 3;

export const manInside: TargetWord = {
  says: [
    'the {nth:ordinal} man inside {who:man}',
    'a {nth:ordinal} man inside {who:man}',
    'a man inside {who:man}',
    'every man inside {who:man}',
  ],
  help: 'First-level defenders nearer the ball than that man’s nose, or beyond it, counted from him in.',
  find: (slots) => {
    const who = slots.man('who');
    const passed = passedOver(slots);
    return {
      claim: null,
      every: slots.form === EVERY,
      seek: (scene, me, him, accept) => {
        const man = who(scene, me);
        if (man < 0) return -1;
        const out = outward(scene, man);
        const inward = out > 0 ? -1 : 1;
        return nthOnLine(scene, me, him, inward, beyond(scene.men[man]!.x + HEAD_UP * inward, inward), passed, accept);
      },
    };
  },
};
