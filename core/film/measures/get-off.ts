import type { Track } from '../follow/follow';
import { secondsOf, withError, type Measure, type PlayOnFilm } from './measure';

/** A man has left his place when he is this far from it, feet: less is wavering of the track. */
const LEFT = 0.4;
/** Who is farther than this from it where his getting off would begin did not begin at rest, feet. */
const RESTS = 0.2;
/** Who has not left by then stays, seconds. */
const LATEST = 1.2;

/**
 * When a man gets off, seconds from the snap, by his way back from where he has surely left; `null` for one who stays, and for one who is met
 * before he has gone so far, or has crept from his place: then nothing says when he came off the ball.
 */
export function getOff(play: PlayOnFilm, { id, team, places }: Track): { seconds: number; error: number } | null {
  const away = (f: number): number => Math.hypot(places[f]!.x - places[0]!.x, places[f]!.y - places[0]!.y);
  const left = places.findIndex((_, f) => away(f) > LEFT);
  if (left < 0 || secondsOf(play, left) > LATEST) return null;
  // From rest at an even push the way grows with the square of the time: the start is where its root is nothing.
  const later = Math.min(places.length - 1, left + Math.max(1, Math.round(play.framesPerSecond * 0.1)));
  const [a, b] = [Math.sqrt(away(left)), Math.sqrt(away(later))];
  const frames = b > a ? ((later - left) * a) / (b - a) : 0;
  const began = left - Math.min(left, frames);
  const isMet = play.meetings.some((m) => (team === 'offence' ? m.blocker : m.defender) === id && m.from <= began);
  if (isMet || away(Math.floor(began)) > RESTS) return null;
  const seconds = Math.max(0, secondsOf(play, began));
  return { seconds, error: Math.max(1.5 / play.framesPerSecond, 0.04) };
}

const LINE = ['LT', 'LG', 'C', 'RG', 'RT'];

/** How soon a man is off the ball, and against the line. */
export const getOffMeasure: Measure = {
  name: 'Off the ball',
  trust: 'either angle',
  of: (play, man) => {
    const own = getOff(play, man);
    if (!own) return null;
    const line = play.tracks
      .filter((t) => t.team === 'offence' && LINE.includes(t.id))
      .flatMap((t) => getOff(play, t)?.seconds ?? [])
      .sort((a, b) => a - b);
    const middle = line[Math.floor(line.length / 2)];
    const late = middle === undefined ? 0 : own.seconds - middle;
    const beside =
      Math.abs(late) < 2 * own.error
        ? 'with the line'
        : late > 0
          ? `${late.toFixed(2)} s after the line`
          : 'before the line';
    return { says: `${withError(own.seconds, own.error, 's')}; ${beside}`, value: late, error: own.error };
  },
};
