/** How much the picture of a recording changes, `perSecond` times a second: the mean difference of one picture to the next, 0 to 255. */
export interface Motion {
  readonly perSecond: number;
  readonly values: readonly number[];
}
/** A piece of a recording with one snap in it; seconds from the recording's beginning. `snap` is null where none was seen. */
export interface Piece {
  readonly from: number;
  readonly snap: number | null;
  readonly to: number;
}

/** Both lines are set and still for at least this long before the ball is snapped, seconds. */
const STILL_FOR = 0.7;
/** So much of that time really is still, for cameras waver; and so much of it is there where the recording has just begun. */
const CALM = { share: 0.75, least: 0.7 };
/** A play goes on for at least this long, seconds: a shift of a back is shorter. */
const MOVES_FOR = 0.8;
/** Within this time of the last still moment everybody is moving, seconds. */
const ONSET = 0.6;
/** Shown before the snap and after the play, seconds. */
const LEAD = 3;
const TAIL = 1.5;
/** A play is over when nothing much moves for this long, or after this long whatever moves, seconds. */
const CALM_FOR = 1.2;
const LONGEST = 14;
/** The camera was stopped and started where one picture differs this many times as much as those around it, and by at least so much. */
const JUMP = { times: 4, least: 6 };
/** Between two stops of the camera there is a play when it ran for so long, seconds. */
const ONE_PLAY = { least: 2, most: 30 };

const quantile = (sorted: readonly number[], share: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))] ?? 0;

/** Where the camera was stopped and started again: places in the list of values. */
export function jumpsOf({ values }: Motion): number[] {
  return values.flatMap((v, i) => {
    if (v < JUMP.least || i === 0) return [];
    const around = [values[i - 2], values[i - 1], values[i + 1], values[i + 2]].filter((n) => n !== undefined);
    return v > JUMP.times * Math.max(...around, 0.5) ? [i] : [];
  });
}

/** The values without single pictures that jump: each takes the value of the one after it, with which its stretch begins. */
function withoutJumps(motion: Motion, jumps: readonly number[]): number[] {
  const smooth = [...motion.values];
  for (const at of jumps) smooth[at] = motion.values[at + 1] ?? 0;
  return smooth;
}

interface Levels {
  readonly still: number;
  readonly moving: number;
}

/** What counts as still and as moving in a stretch of values: above the noise of the camera, below the pace of a play. */
function levelsOf(values: readonly number[]): Levels {
  const sorted = [...values].sort((a, b) => a - b);
  const [low, high] = [quantile(sorted, 0.1), quantile(sorted, 0.95)];
  return { still: low + 0.2 * (high - low), moving: low + 0.4 * (high - low) };
}

/** The snaps within a stretch: the last still moment before everybody moves. Places in the list of values. */
function snapsIn(values: readonly number[], { still, moving }: Levels, perSecond: number): number[] {
  if (!(moving > still)) return [];
  const [stillFor, movesFor, onset] = [STILL_FOR, MOVES_FOR, ONSET].map((s) => Math.max(1, Math.round(s * perSecond)));
  const snaps: number[] = [];
  for (let i = 0; i < values.length; i++) {
    if (values[i]! <= still || i - (snaps.at(-1) ?? -Infinity) <= 3 * perSecond) continue;
    const before = values.slice(Math.max(0, i - stillFor!), i);
    const calm = before.filter((v) => v <= still).length;
    if (before.length < CALM.least * stillFor! || calm < CALM.share * before.length) continue;
    const soon = values.slice(i, i + onset! + movesFor!);
    if (soon.filter((v) => v >= moving).length >= movesFor!) snaps.push(i);
  }
  return snaps;
}

/** The first place from a snap on at which the play is over. */
function endOf(values: readonly number[], snap: number, { still }: Levels, perSecond: number): number {
  const calmFor = Math.round(CALM_FOR * perSecond);
  const latest = Math.min(values.length, snap + LONGEST * perSecond);
  let calm = 0;
  for (let i = snap + Math.round(MOVES_FOR * perSecond); i < latest; i++) {
    calm = values[i]! <= still ? calm + 1 : 0;
    if (calm >= calmFor) return i - calmFor;
  }
  return latest;
}

/**
 * Cuts a recording of a game into snaps, as far as the motion in it tells: by stillness before the snap, and by the places where the camera
 * was stopped. Pieces are in order and never overlap; a coach looks at every one of them.
 */
export function suggestPieces(motion: Motion): Piece[] {
  const { perSecond } = motion;
  const jumps = jumpsOf(motion);
  const values = withoutJumps(motion, jumps);
  const seconds = (at: number): number => at / perSecond;
  const bounds = [0, ...jumps, values.length];
  const pieces: Piece[] = [];
  for (const [n, start] of bounds.slice(0, -1).entries()) {
    const end = bounds[n + 1]!;
    const stretch = values.slice(start, end);
    const levels = levelsOf(stretch);
    const snaps = snapsIn(stretch, levels, perSecond).map((at) => at + start);
    const length = seconds(end - start);
    // The camera ran for one play and no longer: all of it is the snap.
    if (bounds.length > 2 && length >= ONE_PLAY.least && length <= ONE_PLAY.most && snaps.length < 2) {
      pieces.push({ from: seconds(start), snap: snaps[0] === undefined ? null : seconds(snaps[0]), to: seconds(end) });
      continue;
    }
    for (const [i, snap] of snaps.entries()) {
      const before = Math.max(start / perSecond, pieces.at(-1)?.to ?? 0);
      const next = snaps[i + 1];
      const latest = next === undefined ? seconds(end) : seconds(next) - STILL_FOR;
      const over = seconds(endOf(stretch, snap - start, levels, perSecond) + start) + TAIL;
      pieces.push({ from: Math.max(before, seconds(snap) - LEAD), snap: seconds(snap), to: Math.min(latest, over) });
    }
  }
  return pieces.filter((p) => p.to > p.from);
}
