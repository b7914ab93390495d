import { BLOCKS, type BlockId } from '../../vocabulary/index';
import { errorOf, frameOf, withError, type Measure } from './measure';

/** When a set is looked at, seconds from the snap. */
const AT = 1;

/** How deep and how wide a man has set a second after the snap. */
export const passSetMeasure: Measure = {
  name: 'Set after one second',
  trust: 'both angles',
  of: (play, man) => {
    const asked = man.team === 'offence' && play.assignments.find((a) => a.blocker === man.id);
    if (!asked || BLOCKS[asked.block as BlockId]?.course !== 'retreat') return null;
    const from = man.places[0]!;
    const to = man.places[frameOf(play, man, AT)]!;
    const value = from.y - to.y;
    const error = Math.hypot(errorOf(from), errorOf(to));
    const out = (to.x - from.x) * Math.sign(from.x || 1);
    const wide = out < 0 ? 'inside' : 'outside';
    return { says: `${withError(value, error, 'ft')} deep, ${Math.abs(out).toFixed(1)} ft ${wide}`, value, error };
  },
};
