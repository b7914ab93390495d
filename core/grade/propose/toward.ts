import type { Track } from '../../film/follow/follow';
import { errorOf, frameOf, type PlayOnFilm } from '../../film/measures/measure';

/** Whether a man goes to somebody is read from here to here, seconds from the snap. */
const FROM = 0.5;
const TO = 2.4;
const STEP = 0.1;

/** How a man and a defender came together or did not. */
export interface Approach {
  readonly defender: string;
  /** The nearest they came, feet, with its error, and when, seconds from the snap. */
  readonly nearest: number;
  readonly error: number;
  readonly at: number;
  /** How much nearer than at the snap, feet. */
  readonly closed: number;
}

/** How near a blocker came to each defender, the nearest first. */
export function approaches(play: PlayOnFilm, man: Track): Approach[] {
  return play.tracks
    .filter((t) => t.team === 'defence')
    .map((defender) => {
      let best: Approach | null = null;
      const start = distance(man, defender, 0);
      for (let at = FROM; at <= TO + 1e-9; at += STEP) {
        const [f, g] = [frameOf(play, man, at), frameOf(play, defender, at)];
        const nearest = Math.hypot(man.places[f]!.x - defender.places[g]!.x, man.places[f]!.y - defender.places[g]!.y);
        if (best && nearest >= best.nearest) continue;
        const error = Math.hypot(errorOf(man.places[f]!), errorOf(defender.places[g]!));
        best = { defender: defender.id, nearest, error, at, closed: start - nearest };
      }
      return best!;
    })
    .sort((a, b) => a.nearest - b.nearest);
}

const distance = (a: Track, b: Track, frame: number): number =>
  Math.hypot(a.places[frame]!.x - b.places[frame]!.x, a.places[frame]!.y - b.places[frame]!.y);
