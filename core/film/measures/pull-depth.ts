import { errorOf, withError, type Measure } from './measure';

/** How deep a man who pulls goes, from where he stood. */
export const pullDepthMeasure: Measure = {
  name: 'Depth of the pull',
  trust: 'the sideline',
  of: ({ assignments }, man) => {
    const asked = man.team === 'offence' && assignments.find((a) => a.blocker === man.id);
    if (!asked || !asked.pull) return null;
    const from = man.places[0]!;
    const deepest = man.places.reduce((low, p) => (p.y < low.y ? p : low), from);
    const value = from.y - deepest.y;
    const error = Math.hypot(errorOf(from), errorOf(deepest));
    return { says: withError(value, error, 'ft'), value, error };
  },
};
