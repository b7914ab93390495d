import { meetingOf } from './contact';
import { frameOf, secondsOf, withError, type Measure, type PlayOnFilm } from './measure';
import type { Track } from '../follow/follow';

/** Pads are compared for so long from first contact, seconds. */
const FIGHTS = 0.5;
/** Seen at least so well, a man's height is believed; and so many others must have theirs to be compared with. */
const SEEN = 0.25;
const FEW = 2;
/** Standard deviation of the difference of two heights, feet; measured on the simulated film, see docs/measuring.md. */
const ERROR = 0.15;
/** The middle one of the heights at which somebody is seen, feet; `null` where he hardly is. */
function heightBetween({ places }: Track, from: number, to: number): number | null {
  const seen = places.slice(from, to + 1).filter((p) => p.z > 0 && p.seen >= SEEN);
  if (seen.length < (to - from) / 3) return null;
  return seen.map((p) => p.z).sort((a, b) => a - b)[seen.length >> 1]!;
}

/** A man's height while he has his man, from first contact on. */
function heightOn(play: PlayOnFilm, man: Track, of: Track): number | null {
  const met = meetingOf(play, man);
  if (!met) return null;
  const last = Math.min(met.to ?? Infinity, frameOf(play, man, secondsOf(play, met.from) + FIGHTS));
  return heightBetween(of, met.from, last);
}

/** How high the others of the line play while they have theirs: what is left to compare with when his man is hidden. */
function heightOfOthers(play: PlayOnFilm, man: Track): number | null {
  const others = play.tracks
    .filter((t) => t.team === 'offence' && t !== man)
    .flatMap((t) => heightOn(play, t, t) ?? [])
    .sort((a, b) => a - b);
  return others.length < FEW ? null : others[others.length >> 1]!;
}

/** How high his pads are while he has his man: against that man's, or where he is hidden against the other blockers'. */
export const padLevelMeasure: Measure = {
  name: 'Pad level',
  trust: 'both angles',
  of: (play, man) => {
    const met = man.team === 'offence' ? meetingOf(play, man) : null;
    const his = met && play.tracks.find((t) => t.team === 'defence' && t.id === met.defender);
    if (!met || !his) return null;
    const own = heightOn(play, man, man);
    const foe = heightOn(play, man, his);
    const other = foe ?? heightOfOthers(play, man);
    if (own === null || other === null) return null;
    const value = own - other;
    const than = `${value >= 0 ? 'higher' : 'lower'} than ${foe === null ? 'the others’' : `${met.defender}’s`}`;
    return { says: `${withError(Math.abs(value), ERROR, 'ft')}, ${than}`, value, error: ERROR };
  },
};
