import { BODY } from '../../geometry/tolerances';
import type { Meeting } from '../follow/events';
import type { Track } from '../follow/follow';
import { errorOf, secondsOf, withError, type FollowedMen, type Measure } from './measure';

/** Who stands in or beside the hole: not deeper behind the line than this, nor farther past it, feet. */
const LEVEL = { behind: 3, past: 6 };
/** A meeting that is no surer than this is nobody's hold. */
const SURE = 0.5;
/** Nobody within this of the ball leaves that side open, feet. */
const OPEN = 15;

/** The room that the ball had when it crossed the line. */
export interface Hole {
  /** Seconds from the snap. */
  readonly seconds: number;
  /** Between the shoulders of the two beside it, feet, with one standard deviation; to `OPEN` where a side is open. */
  readonly width: number;
  readonly error: number;
  /** Who stood to its left and right; `null` where that side was open. */
  readonly left: Track | null;
  readonly right: Track | null;
  /** Who stood in the ball's way: the hole was closed. */
  readonly inIt: Track | null;
}

/** The frame on which somebody crosses the line of scrimmage; `null` for one who never does. Tracks in feet from the ball. */
export function crossesAt({ places }: Track): number | null {
  const frame = places.findIndex((p) => p.y >= 0);
  return frame < 0 ? null : frame;
}

/** The hole a carrier went through; `null` when he never crossed the line. A blocker who has nobody leads through it and does not close it. */
export function holeOf(play: FollowedMen, carrier: Track): Hole | null {
  const frame = crossesAt(carrier);
  return frame === null ? null : roomAt(play, carrier, frame);
}

function roomAt(play: FollowedMen, carrier: Track, frame: number): Hole {
  const at = carrier.places[frame]!.x;
  const beside = play.tracks.filter((t) => {
    const y = t.places[frame]?.y ?? Infinity;
    const isThere = t !== carrier && y >= -LEVEL.behind && y <= LEVEL.past;
    return (
      isThere &&
      (t.team === 'defence' || play.meetings.some((m) => m.blocker === t.id && m.sure > SURE && lasts(m, frame)))
    );
  });
  const away = (t: Track): number => t.places[frame]!.x - at;
  const nearest = (side: -1 | 1): Track | null =>
    beside
      .filter((t) => (side > 0 ? away(t) >= 0 : away(t) < 0) && Math.abs(away(t)) < OPEN)
      .sort((a, b) => Math.abs(away(a)) - Math.abs(away(b)))[0] ?? null;
  const [left, right] = [nearest(-1), nearest(1)];
  const room = (t: Track | null): number => (t ? Math.abs(away(t)) - BODY : OPEN);
  const inIt = [left, right].find((t) => room(t) < 0) ?? null;
  const errors = [left, right].map((t) => (t ? errorOf(t.places[frame]!) : 0));
  return {
    seconds: secondsOf(play, frame),
    width: inIt ? 0 : room(left) + room(right),
    error: Math.hypot(...errors),
    left,
    right,
    inIt,
  };
}

/** Are the two still together on a frame? */
export const lasts = ({ from, to }: Meeting, frame: number): boolean => frame >= from && frame <= (to ?? Infinity);

/** How much room the runner had where he crossed the line. */
export const holeWidthMeasure: Measure = {
  name: 'Hole he ran through',
  trust: 'both angles',
  of: (play, man) => {
    if (play.pass || man.team !== 'offence' || man.id !== play.carrier) return null;
    const hole = holeOf(play, man);
    if (!hole?.left || !hole.right) return null;
    const room = `${withError(hole.width, hole.error, 'ft')}, between ${hole.left.id} and ${hole.right.id}`;
    const says = hole.inIt ? `closed by ${hole.inIt.id}` : room;
    return { says, value: hole.width, error: hole.error };
  },
};
