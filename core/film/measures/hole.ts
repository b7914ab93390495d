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

/** Who stood beside the ball, or before it: a defender by his own name, a blocker by that of the man he has. */
export interface Edge {
  readonly man: Track;
  readonly name: string;
}

/** The room that the ball had when it crossed the line. */
export interface Hole {
  /** Seconds from the snap. */
  readonly seconds: number;
  /** Between the shoulders of the two beside it, feet, with one standard deviation; to `OPEN` where a side is open. */
  readonly width: number;
  readonly error: number;
  /** Who stood to its left and right; `null` where that side was open. */
  readonly left: Edge | null;
  readonly right: Edge | null;
  /** Who stood in the ball's way: the hole was closed. */
  readonly inIt: Edge | null;
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
  const ball = carrier.places[frame]!.x;
  const away = ({ man }: Edge): number => man.places[frame]!.x - ball;
  const edges = play.tracks
    .flatMap((t) => (t === carrier ? [] : (edgeOf(play, t, frame) ?? [])))
    .sort((a, b) => Math.abs(away(a)) - Math.abs(away(b)));
  const left = edges.find((e) => away(e) < 0 && away(e) > -OPEN) ?? null;
  const right = edges.find((e) => away(e) >= 0 && away(e) < OPEN) ?? null;
  const room = (e: Edge | null): number => (e ? Math.abs(away(e)) - BODY : OPEN);
  const inIt = [left, right].find((e) => room(e) < 0) ?? null;
  const error = Math.hypot(...[left, right].map((e) => (e ? errorOf(e.man.places[frame]!) : 0)));
  return { seconds: secondsOf(play, frame), width: inIt ? 0 : room(left) + room(right), error, left, right, inIt };
}

/** A man as the edge of a hole; `null` for one who is not there, and for a blocker who has nobody. */
function edgeOf(play: FollowedMen, man: Track, frame: number): Edge | null {
  const y = man.places[frame]?.y ?? Infinity;
  if (y < -LEVEL.behind || y > LEVEL.past) return null;
  if (man.team === 'defence') return { man, name: man.id };
  const has = play.meetings.find((m) => m.blocker === man.id && m.sure > SURE && lasts(m, frame));
  return has ? { man, name: has.defender } : null;
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
    const room = `${withError(hole.width, hole.error, 'ft')}, between ${hole.left.name} and ${hole.right.name}`;
    const says = hole.inIt ? `closed by ${hole.inIt.name}` : room;
    return { says, value: hole.width, error: hole.error };
  },
};
