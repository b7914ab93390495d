import type { Track } from './follow';
import { leavesLevel, stopsFalling } from './kink';

/** Something two tracks tell: a blocker has come to a defender, or has left him. Frames are counted from the first of the tracks. */
export interface Meeting {
  readonly blocker: string;
  readonly defender: string;
  /** The first frame of contact. */
  readonly from: number;
  /** The last frame of contact; `null` while it lasts to the end. */
  readonly to: number | null;
  /** The nearest they came, feet, and how sure the first frame is: the share of frames around it on which neither of the two is lost. */
  readonly nearest: number;
  readonly sure: number;
  /** How sure the last frame of contact is, by the frames around it. */
  readonly sureTo: number;
}

/**
 * Two men who come this near may be in contact, feet. They are when they come no nearer: near the first frame that is within `SETTLES` of
 * the nearest of the moment after it, on the frame between so many seconds before and after it on which each of them stops going to the other,
 * by what they do in so many seconds around it.
 */
const NEAR = 2.4;
const SETTLES = { feet: 0.4, seconds: 0.25 };
const STOPS = { before: 0.3, after: 0.1, around: 0.13 };
/** No place on film is known better than this, feet. */
const BLUR = 0.05;
/** Farther than they stood together by this, they have parted, feet; and so long before it at most it began, seconds. */
const LEAVES = { feet: 0.4, seconds: 0.85 };
/** Farther apart than this nobody is in contact, feet. */
const PARTS = 2.9;
/** Frames before and after a contact on which both have to be seen for it to be sure. */
const AROUND = 3;
/** A touch shorter than this is chance, seconds. */
const SHORTEST = 0.1;

/** A man on a frame that the film no longer tells where he is: hardly seen around it, or not known to within this many feet. */
export const LOST = { seen: 0.55, error: 0.6, frames: 8 };
/** Seen no worse than this around a frame a man may be called lost on it, and yet a meeting on it is believed. */
const BELIEVED = 0.3;

/** For every frame of a track whether it is lost there: called so to whoever looks, or by a limit of one's own on how well he is to be seen. */
export function lostFrames({ places }: Track, seenAtLeast = LOST.seen): boolean[] {
  return places.map(({ error }, f) => {
    const near = places.slice(Math.max(0, f - LOST.frames), f + LOST.frames + 1);
    const seen = near.reduce((sum, p) => sum + p.seen, 0) / near.length;
    return error > LOST.error || seen < seenAtLeast;
  });
}

/** Who met whom, when, and when they parted, from the tracks of a play. In the order in which it happened. */
export function meetingsOf(tracks: readonly Track[], framesPerSecond: number): Meeting[] {
  const lost = new Map(tracks.map((t) => [t, lostFrames(t, BELIEVED)]));
  const blockers = tracks.filter((t) => t.team === 'offence');
  const defenders = tracks.filter((t) => t.team === 'defence');
  return blockers
    .flatMap((b) => defenders.flatMap((d) => touches(b, d, framesPerSecond).map((touch) => ({ b, d, ...touch }))))
    .map(({ b, d, from, to, nearest }): Meeting => {
      const seenAt = (frame: number): number => seenAround(lost.get(b)!, lost.get(d)!, frame);
      const [sure, sureTo] = [seenAt(from), seenAt(to ?? Math.min(b.places.length, d.places.length) - 1)];
      return { blocker: b.id, defender: d.id, from, to, nearest, sure, sureTo };
    })
    .sort((a, b) => a.from - b.from || (a.blocker < b.blocker ? -1 : 1));
}

/** The share of the frames around one on which neither of two men is lost. */
function seenAround(one: readonly boolean[], other: readonly boolean[], frame: number): number {
  const start = Math.max(0, frame - AROUND);
  const around = one.slice(start, frame + AROUND + 1);
  return around.filter((lost, i) => !lost && !other[start + i]).length / around.length;
}

interface Touch {
  readonly from: number;
  readonly to: number | null;
  readonly nearest: number;
}

/** The spans of frames on which two tracks touch. */
function touches(b: Track, d: Track, framesPerSecond: number): Touch[] {
  const frames = Math.min(b.places.length, d.places.length);
  const away = Array.from({ length: frames }, (_, f) =>
    Math.hypot(b.places[f]!.x - d.places[f]!.x, b.places[f]!.y - d.places[f]!.y),
  );
  const found: Touch[] = [];
  /** Frames before this one are those of a touch that is over. */
  let free = 0;
  for (let f = Math.max(0, movesFrom(b, d)); f < frames; f = free) {
    const near = settlesAt(away, f, framesPerSecond);
    if (near < 0) break;
    const end = lastWithin(away, near);
    const inFrames = (seconds: number): number => Math.round(seconds * framesPerSecond);
    const [soonest, latest] = [near - inFrames(STOPS.before), near + inFrames(STOPS.after)];
    const from = stopsAt(b, d, near, Math.max(free, soonest), Math.min(end, latest), inFrames(STOPS.around));
    const last = lastOf(b, d, away, from, end, framesPerSecond);
    if ((last ?? end) - from >= SHORTEST * framesPerSecond)
      found.push({ from, to: last, nearest: Math.min(...away.slice(from, end + 1)) });
    free = end + 1;
  }
  return found;
}

/** The last frame from one on until which two men stay as near as men in contact. */
function lastWithin(away: readonly number[], from: number): number {
  const beyond = away.findIndex((far, f) => f > from && far > PARTS);
  return (beyond < 0 ? away.length : beyond) - 1;
}

/** The last frame of a contact from one frame to another at most; `null` when it lasts to the end of what is there. */
function lastOf(
  b: Track,
  d: Track,
  away: readonly number[],
  from: number,
  end: number,
  framesPerSecond: number,
): number | null {
  const usual = away.slice(from, end + 1).sort((p, q) => p - q)[Math.floor((end + 1 - from) / 2)]!;
  let last = end;
  while (last > from && away[last]! > usual + LEAVES.feet) last--;
  if (last === away.length - 1) return null;
  // He was on his way before he was that far: back to where it began.
  const soonest = Math.max(from, last - Math.round(LEAVES.seconds * framesPerSecond));
  return leavesAt(b, d, soonest, last + 1);
}

/** Who has not moved this far has met nobody yet: men stand near each other before the snap. Feet. */
const MOVED = 0.25;

/** The first frame on which either of two has left his place. */
function movesFrom(...tracks: readonly Track[]): number {
  const first = tracks.map(({ places }) =>
    places.findIndex((p) => Math.hypot(p.x - places[0]!.x, p.y - places[0]!.y) > MOVED),
  );
  return Math.min(...first.map((f) => (f < 0 ? Infinity : f)));
}

/** The first frame from `start` on from which two men are near and come hardly nearer; -1 without any. */
function settlesAt(away: readonly number[], start: number, framesPerSecond: number): number {
  const soon = Math.round(SETTLES.seconds * framesPerSecond);
  for (let f = start; f < away.length; f++) {
    if (away[f]! > NEAR) continue;
    if (away[f]! - Math.min(...away.slice(f, f + soon + 1)) <= SETTLES.feet) return f;
  }
  return -1;
}

/** The frame from one to another on which men near each other stop going to each other, by both of their ways: the better one is known, the more. */
function stopsAt(b: Track, d: Track, near: number, from: number, to: number, around: number): number {
  const [p, q] = [b.places[near]!, d.places[near]!];
  const away = Math.max(0.1, Math.hypot(q.x - p.x, q.y - p.y));
  const [ux, uy] = [(q.x - p.x) / away, (q.y - p.y) / away];
  const series = [
    { track: b, sign: -1 },
    { track: d, sign: 1 },
  ].map(({ track, sign }) => ({
    values: track.places.map(({ x, y }) => sign * (ux * x + uy * y)),
    weight: 1 / (track.places[near]!.error ** 2 + BLUR ** 2),
  }));
  return stopsFalling(series, from, to, around) ?? near;
}

/** The frame from `soonest` on from which a man leaves another, from whom he is away at `gone`: on the way on which he is away then. */
function leavesAt(b: Track, d: Track, soonest: number, gone: number): number {
  const from = (f: number): readonly [number, number] => [
    b.places[f]!.x - d.places[f]!.x,
    b.places[f]!.y - d.places[f]!.y,
  ];
  const [[x0, y0], [x1, y1]] = [from(soonest), from(gone)];
  const along = Array.from({ length: gone + 1 }, (_, f) => from(f)[0] * (x1 - x0) + from(f)[1] * (y1 - y0));
  return leavesLevel(along, soonest, gone) ?? gone;
}
