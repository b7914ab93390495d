import type { WorkedCall } from '../../calls/resolve-call';
import type { MeasuredMan } from '../alignment/places';
import type { Start } from './follow';

/** A blocker who stands this far behind the ball at least has no hand on the ground, feet. */
const STANDS_UP = 5;

/** Men to be followed, from where they were measured at the snap: feet on the field. Who has a hand on the ground is taken from the call. */
export function startsOf(
  places: readonly MeasuredMan[],
  { front }: Pick<WorkedCall, 'front'>,
  ball: { readonly x: number; readonly y: number },
): Start[] {
  return places.map(({ id, team, x, y }) => {
    const defender = team === 'defence' ? front.defenders.find((d) => d.id === id) : undefined;
    const up = team === 'defence' ? (defender ? defender.stance === 'up' : y > STANDS_UP) : y < -STANDS_UP;
    return { id, team, x: x + ball.x, y: y + ball.y, stance: up ? 'up' : 'down' };
  });
}
