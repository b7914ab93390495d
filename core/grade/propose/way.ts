import type { Meeting } from '../../film/follow/events';
import { meetingsOf } from '../../film/follow/events';
import type { Track } from '../../film/follow/follow';
import { frameOf, secondsOf, type PlayOnFilm } from '../../film/measures/measure';

/** A man's way is held against what was asked from here to here, seconds from the snap: the start is everybody's alike. */
const FROM = 0.4;
const TO = 2;

/** How far a man was off a way: at half of the frames farther, and at the farthest, feet. */
export interface Off {
  readonly usual: number;
  readonly most: number;
}

function offOf(play: PlayOnFilm, man: Track, way: Track): Off | null {
  const [first, last] = [frameOf(play, man, FROM), frameOf(play, man, TO)];
  const off = man.places
    .slice(first, last + 1)
    .map((p, i) => Math.hypot(p.x - way.places[first + i]!.x, p.y - way.places[first + i]!.y))
    .sort((a, b) => a - b);
  return off.length ? { usual: off[Math.floor(off.length / 2)]!, most: off.at(-1)! } : null;
}

/** The way a man was asked to go; `null` when it is not known. */
export const askedWay = (play: PlayOnFilm, man: Track): Track | null =>
  play.would?.asked.find((t) => t.id === man.id && t.team === man.team) ?? null;

/** How far a man was off it. */
export function offTheWay(play: PlayOnFilm, man: Track): Off | null {
  const asked = askedWay(play, man);
  return asked ? offOf(play, man, asked) : null;
}

/** Two ways are told apart where they are this far from each other, feet, on at least so many seconds of film. */
const APART = 1;
const LONG_ENOUGH = 0.2;
/** Who pulls goes one way with others for long: two ways are held against each other until then, seconds from the snap. */
const LAST = 2.8;

/**
 * How far a man was off two ways where they can be told apart, feet, at half of those frames farther; until `until`, seconds from the snap.
 * `null` where they hardly differ: then his way does not say which of the two he went.
 */
export function offBoth(
  play: PlayOnFilm,
  man: Track,
  one: Track,
  other: Track,
  until = LAST,
): { one: number; other: number } | null {
  const [first, last] = [frameOf(play, man, FROM), frameOf(play, man, Math.min(LAST, until))];
  const away = (a: { x: number; y: number }, b: { x: number; y: number }): number => Math.hypot(a.x - b.x, a.y - b.y);
  const frames = man.places.slice(first, Math.min(last + 1, one.places.length, other.places.length)).flatMap((p, i) => {
    const [a, b] = [one.places[first + i]!, other.places[first + i]!];
    return away(a, b) < APART ? [] : [{ one: away(p, a), other: away(p, b) }];
  });
  if (frames.length < LONG_ENOUGH * play.framesPerSecond) return null;
  const usual = (of: 'one' | 'other'): number => frames.map((f) => f[of]).sort((a, b) => a - b)[frames.length >> 1]!;
  return { one: usual('one'), other: usual('other') };
}

/** So many defenders near his own man may have been taken for him. */
const OTHERS = 4;

/** A defender not asked of a man, with the way he would have gone to him and how far he was off it. */
export interface OtherWay extends Off {
  readonly defender: string;
  readonly way: Track;
}

/** The defenders not asked of him whom he may have gone for, the one to whom his way fits best first. */
export function otherWays(play: PlayOnFilm, man: Track, his: readonly string[]): OtherWay[] {
  const defenders = play.tracks.filter((t) => t.team === 'defence');
  const place = (t: Track): { x: number; y: number } => t.places[0]!;
  const own = defenders.find((d) => d.id === his[0]) ?? man;
  const away = (t: Track): number =>
    Math.min(
      Math.hypot(place(t).x - place(own).x, place(t).y - place(own).y),
      Math.hypot(place(t).x - place(man).x, place(t).y - place(man).y),
    );
  const tried = defenders
    .filter((d) => !his.includes(d.id))
    .sort((a, b) => away(a) - away(b))
    .slice(0, OTHERS)
    .flatMap((d) => {
      const way = play.would?.instead(man.id, d.id);
      const off = way ? offOf(play, man, way) : null;
      return off ? [{ ...off, defender: d.id, way: way! }] : [];
    });
  return tried.sort((a, b) => a.usual - b.usual);
}

const plans = new WeakMap<readonly Track[], Meeting[]>();
/** Who would have met whom, had everybody done what was asked. */
export function askedMeetings({ would, framesPerSecond }: PlayOnFilm): readonly Meeting[] {
  const asked = would?.asked;
  if (!asked) return [];
  const known = plans.get(asked) ?? meetingsOf(asked, framesPerSecond);
  plans.set(asked, known);
  return known;
}

/** When a man was to leave whom he was on, seconds from the snap; `null` when he was to stay, or it is not known. */
export function askedToLeave(play: PlayOnFilm, blocker: string, defender: string): number | null {
  const met = askedMeetings(play).find((m) => m.blocker === blocker && m.defender === defender);
  return met && met.to !== null ? secondsOf(play, met.to) : null;
}
