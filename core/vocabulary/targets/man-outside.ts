import { EPSILON, HEAD_UP } from '../../geometry/tolerances';
import { beyond, nthOnLine, outward, passedOver } from '../finding';
import type { TargetWord } from '../word';

/** Forms from here on count a head-up man in; of each half the last form means every man. */
const HEAD_UP_TOO = 4;
const EVERY = 3;

export const manOutside: TargetWord = {
  says: [
    'the {nth:ordinal} man outside {who:man}',
    'a {nth:ordinal} man outside {who:man}',
    'a man outside {who:man}',
    'every man outside {who:man}',
    'the {nth:ordinal} man head-up or outside {who:man}',
    'a {nth:ordinal} man head-up or outside {who:man}',
    'a man head-up or outside {who:man}',
    'every man head-up or outside {who:man}',
  ],
  help: 'First-level defenders farther from the ball than that man’s nose, counted from the ball out; head-up may be counted in.',
  find: (slots) => {
    const who = slots.man('who');
    const passed = passedOver(slots);
    const reach = slots.form >= HEAD_UP_TOO ? -HEAD_UP - 2 * EPSILON : HEAD_UP;
    return {
      claim: null,
      every: slots.form % HEAD_UP_TOO === EVERY,
      seek: (scene, me, him, accept) => {
        const man = who(scene, me);
        if (man < 0) return -1;
        const out = outward(scene, man);
        return nthOnLine(scene, me, him, out, beyond(scene.men[man]!.x + reach * out, out), passed, accept);
      },
    };
  },
};
