import type { Hole } from '../film/measures/hole';
import type { Met, Replay } from '../film/replay/replay';
import { seconds, trim, YARD } from '../geometry/units';

/** What is told with every replay: how far it can be believed. */
export const REPLAY_KNOWS =
  'Places and speed only: whoever is mended goes as he was asked, with the man he was asked to block; all others go as they were filmed. How they would have played it nobody knows. On the film a diamond is where a man would be.';

/** What came of a play, in a sentence: "The hole is 2.5 ft wide between N and T after 1.6 s; W meets the ball 2 yd past the line after 2 s." */
export function sayReplay({ hole, met, until, reached, mended }: Replay, pass: boolean): string {
  if (pass) {
    const came = met ? `${met.who} is at the quarterback after ${seconds(met.seconds)}` : null;
    return `${came ?? `Nobody is at the quarterback before the film ends, ${seconds(until)} after the snap`}.`;
  }
  const room = hole ? sayHole(hole, mended !== 'everybody') : 'The ball does not cross the line';
  return `${room}; ${met ? sayMet(met) : `nobody meets the ball before the film ends, when it is ${place(reached)}`}.`;
}

/** The room for the ball; with its error where it was measured. */
export function sayHole({ width, error, left, right, inIt, seconds: at }: Hole, measured: boolean): string {
  const when = `after ${seconds(at)}`;
  if (inIt) return `${inIt.name} stands in the hole ${when}`;
  if (!left && !right) return `Nobody is beside the ball when it crosses, ${when}`;
  if (!left || !right)
    return `The hole is open ${left ? `to the right of ${left.name}` : `to the left of ${right!.name}`} ${when}`;
  const give = measured ? `, give or take ${error.toFixed(1)},` : '';
  return `The hole is ${width.toFixed(1)} ft wide${give} between ${left.name} and ${right.name} ${when}`;
}

const sayMet = ({ who, seconds: at, depth }: Met): string =>
  `${who} meets the ball ${place(depth)} after ${seconds(at)}`;

/** Half a yard from the line is at the line. */
function place(depth: number): string {
  const yards = depth / YARD;
  if (Math.abs(yards) < 0.5) return 'at the line';
  return `${trim(Math.abs(yards), 1)} yd ${yards < 0 ? 'behind' : 'past'} the line`;
}
