import { gistOf } from '../../compare/gist';
import { resolve } from '../../movement/play';
import type { Call } from '../../model/snap';
import type { WorkedCall, Ways } from '../../calls/resolve-call';

/** Whom a rep needs of the defence, and in whose place a cone will do. */
export interface Bodies {
  readonly bodies: readonly string[];
  readonly cones: readonly string[];
}

/**
 * Leaves out every defender whose absence changes nothing for those of us who are on the field: one after the other, from the farthest from
 * the ball, so that all those left out together change nothing either.
 */
export function fewestBodies(
  { scheme, formation, front, resolution }: WorkedCall,
  { side, tags, overrides }: Pick<Call, 'side' | 'tags' | 'overrides'>,
  seats: readonly string[],
  { settings, words }: Pick<Ways, 'settings' | 'words'>,
): Bodies {
  const asked = (of: WorkedCall['resolution']): string =>
    seats.map((s) => `${s} ${gistOf(of.assignments.find((a) => a.blocker === s))}`).join('; ');
  const wanted = asked(resolution);
  const far = [...front.defenders].sort((a, b) => Math.hypot(b.x, b.y) - Math.hypot(a.x, a.y));
  let left = front;
  for (const d of far) {
    const without = {
      ...left,
      defenders: left.defenders.filter((o) => o.id !== d.id),
      movements: left.movements.filter((m) => !names(m).includes(d.id)),
    };
    // A man who moves is a body: his movement is what is practised.
    if (without.movements.length !== left.movements.length || without.defenders.length === 0) continue;
    const now = resolve(scheme, formation, without, { side, tags, settings, words, overrides });
    if (asked(now) === wanted) left = without;
  }
  const bodies = left.defenders.map((d) => d.id);
  return { bodies, cones: front.defenders.map((d) => d.id).filter((id) => !bodies.includes(id)) };
}

/** Everybody a movement speaks of by name. */
const names = (movement: Readonly<Record<string, unknown>>): unknown[] => [
  movement.who,
  movement.first,
  movement.second,
];
