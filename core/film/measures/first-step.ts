import { errorOf, frameOf, withError, type Measure } from './measure';
import { getOff } from './get-off';

/** How long after he got off a man's first step has been made, seconds. */
const STEP = 0.3;
/** A step shorter than this to the side is not told, feet. */
const TOLD = 0.3;

/** Where the first step went: ground gained or lost, and how far to the side. */
export const firstStepMeasure: Measure = {
  name: 'First step',
  trust: 'both angles',
  of: (play, man) => {
    const off = getOff(play, man);
    if (!off) return null;
    const from = man.places[0]!;
    const to = man.places[frameOf(play, man, off.seconds + STEP)]!;
    const forward = man.team === 'offence' ? to.y - from.y : from.y - to.y;
    const error = Math.hypot(errorOf(from), errorOf(to));
    const dx = to.x - from.x;
    const side = Math.abs(dx) < TOLD ? '' : `, ${Math.abs(dx).toFixed(1)} ft to the ${dx < 0 ? 'left' : 'right'}`;
    const ground = forward < 0 ? 'lost' : 'gained';
    return { says: `${ground} ${withError(Math.abs(forward), error, 'ft')}${side}`, value: forward, error };
  },
};
