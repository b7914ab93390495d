import { TACKLE_REACH } from '../../kinematics/speeds';
import { seconds as saySeconds, feet, YARD } from '../../geometry/units';
import type { Assignment } from '../../model/resolution';
import type { Cost } from '../../model/proposal';
import type { Track } from '../../film/follow/follow';
import { ballFrames } from '../../film/measures/ball-frames';
import { errorOf, secondsOf, type PlayOnFilm } from '../../film/measures/measure';

/** Whoever comes this near to the quarterback hurries him, feet. */
const HURRIES = 6;

/** A man's nearest way to the ball: on which frame, how far from it, and how far past the line the ball was, feet. */
interface Nearest {
  readonly frame: number;
  readonly away: number;
  readonly depth: number;
}

/**
 * What a missed block on his man meant to the play, from when and how far from the ball that man came: met behind the line, or the
 * quarterback reached, is fatal; met before the run has gained what a good one gains, or the quarterback hurried, costly; else it did no
 * harm. `standard`: what a good run gains, yards. `null` where the film has either of the two not, or nobody in particular was his.
 */
export function costOf(play: PlayOnFilm, asked: Assignment, standard: number): Cost | null {
  const ball = play.tracks.find((t) => t.team === 'offence' && t.id === play.carrier);
  const his = [asked.target, asked.next].filter((id) => id !== null);
  const men = play.tracks.filter((t) => t.team === 'defence' && his.includes(t.id));
  if (!ball || men.length === 0) return null;
  const [{ man, nearest }] = men
    .map((man) => ({ man, nearest: nearestTo(play, ball, man) }))
    .sort((a, b) => a.nearest.away - b.nearest.away) as [{ man: Track; nearest: Nearest }];
  const { away, depth, frame } = nearest;
  if (away === Infinity) return null;
  const reached = away <= TACKLE_REACH + errorOf(man.places[frame]!);
  const when = saySeconds(secondsOf(play, frame));
  if (play.pass) {
    const consequence = reached ? 'fatal' : away <= HURRIES ? 'costly' : 'harmless';
    return { consequence, why: `${man.id} was ${feet(away)} from the quarterback after ${when}, never nearer.` };
  }
  const consequence = !reached ? 'harmless' : depth <= 0 ? 'fatal' : depth < standard * YARD ? 'costly' : 'harmless';
  const where = depth <= 0 ? `${feet(-depth)} behind the line` : `${feet(depth)} past it`;
  return { consequence, why: `${man.id} was ${feet(away)} from the ball after ${when}, ${where}; never nearer.` };
}

/** The frame on which he is nearest while the ball can be met; `Infinity` away where it never can. */
function nearestTo(play: PlayOnFilm, ball: Track, man: Track): Nearest {
  const last = Math.min(ball.places.length, man.places.length) - 1;
  let nearest: Nearest = { frame: last, away: Infinity, depth: ball.places[last]!.y };
  for (const frame of ballFrames(play, ball, last)) {
    const [b, m] = [ball.places[frame]!, man.places[frame]!];
    const away = Math.hypot(b.x - m.x, b.y - m.y);
    if (away < nearest.away) nearest = { frame, away, depth: b.y };
  }
  return nearest;
}
