import type { Track } from './follow';

/** Something two tracks tell: a blocker has come to a defender, or has left him. Frames are counted from the first of the tracks. */
export interface Meeting {
  readonly blocker: string;
  readonly defender: string;
  /** The first frame of contact. */
  readonly from: number;
  /** The last frame of contact; `null` while it lasts to the end. */
  readonly to: number | null;
  /** The nearest they came, feet, and how sure that is: 1 minus the share of frames around the first on which one of the two was lost. */
  readonly nearest: number;
  readonly sure: number;
}

/**
 * Two men who come this near may be in contact, feet. They are when they come no nearer: from the first frame that is within `SETTLES` of
 * the nearest of the moment after it.
 */
const NEAR = 2.4;
const SETTLES = { feet: 0.4, seconds: 0.25 };
/** Farther than they stood together by this, they have parted, feet. */
const LEAVES = 0.4;
/** Less than this in a frame is wavering, feet. */
const STIRS = 0.005;
/** Farther apart than this nobody is in contact, feet. */
const PARTS = 2.9;
/** Frames before and after a contact on which both have to be seen for it to be sure. */
const AROUND = 3;
/** A touch shorter than this is chance, seconds. */
const SHORTEST = 0.1;

/** A man on a frame that the film no longer tells where he is: not seen lately, or not known to within this many feet. */
export const LOST = { seen: 0.3, error: 0.6, frames: 8 };

/** For every frame of a track whether it is lost there. */
export function lostFrames({ places }: Track): boolean[] {
  return places.map(({ error }, f) => {
    const near = places.slice(Math.max(0, f - LOST.frames), f + LOST.frames + 1);
    const seen = near.reduce((sum, p) => sum + p.seen, 0) / near.length;
    return error > LOST.error || seen < LOST.seen;
  });
}

/** Who met whom, when, and when they parted, from the tracks of a play. In the order in which it happened. */
export function meetingsOf(tracks: readonly Track[], framesPerSecond: number): Meeting[] {
  const lost = new Map(tracks.map((t) => [t, lostFrames(t)]));
  const blockers = tracks.filter((t) => t.team === 'offence');
  const defenders = tracks.filter((t) => t.team === 'defence');
  return blockers
    .flatMap((b) => defenders.flatMap((d) => touches(b, d, framesPerSecond).map((touch) => ({ b, d, ...touch }))))
    .map(({ b, d, from, to, nearest }): Meeting => {
      const [start, end] = [Math.max(0, from - AROUND), from + AROUND + 1];
      const unsure = lost
        .get(b)!
        .slice(start, end)
        .filter((l, i) => l || lost.get(d)![start + i]).length;
      const frames = Math.min(end, b.places.length) - start;
      return { blocker: b.id, defender: d.id, from, to, nearest, sure: 1 - unsure / frames };
    })
    .sort((a, b) => a.from - b.from || (a.blocker < b.blocker ? -1 : 1));
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
  let f = Math.max(0, movesFrom(b, d));
  while (f < frames) {
    const from = contactFrom(away, f, framesPerSecond);
    if (from < 0) break;
    let end = from;
    while (end + 1 < frames && away[end + 1]! <= PARTS) end++;
    const span = away.slice(from, end + 1);
    const usual = [...span].sort((p, q) => p - q)[Math.floor(span.length / 2)]!;
    let last = end;
    while (last > from && away[last]! > usual + LEAVES) last--;
    // He was on his way before he was that far: back to where it began.
    if (last < end) while (last > from && away[last - 1]! < away[last]! - STIRS) last--;
    const whole = end === frames - 1 && last === end;
    if (last - from >= SHORTEST * framesPerSecond)
      found.push({ from, to: whole ? null : last, nearest: Math.min(...span) });
    f = end + 1;
  }
  return found;
}

/** Who has not moved this far has met nobody yet: men stand near each other before the snap. Feet. */
const MOVED = 0.35;

/** The first frame on which either of two has left his place. */
function movesFrom(...tracks: readonly Track[]): number {
  const first = tracks.map(({ places }) =>
    places.findIndex((p) => Math.hypot(p.x - places[0]!.x, p.y - places[0]!.y) > MOVED),
  );
  return Math.min(...first.map((f) => (f < 0 ? Infinity : f)));
}

/** The first frame from `start` on from which two men are near and come no nearer; -1 without any. */
function contactFrom(away: readonly number[], start: number, framesPerSecond: number): number {
  const soon = Math.round(SETTLES.seconds * framesPerSecond);
  for (let f = start; f < away.length; f++) {
    if (away[f]! > NEAR) continue;
    if (away[f]! - Math.min(...away.slice(f, f + soon + 1)) <= SETTLES.feet) return f;
  }
  return -1;
}
