import { FIRST_LEVEL_DEPTH } from '../../geometry/tolerances';
import type { Point } from '../../geometry/vec';
import type { DefenderStatus } from '../../model/resolution';
import { apart, stand, steer, STEP, type Body } from './bodies';
import type { RunningBlocker } from './blockers';

export interface RunningDefender extends Body {
  readonly status: DefenderStatus;
  /** The rest of the way a movement sends him, his places in turn. */
  readonly way: Point[];
  /** He comes after the quarterback; on a run everybody is after the ball. */
  readonly rushes: boolean;
  /** A movement sends him. */
  readonly sent: boolean;
  /** Where he stood. */
  readonly from: Point;
}

/** Two men on one move him off the ball this fast, feet a second; one holds him where he is: the model knows nothing of strength. */
const DOUBLE_PUSH = 1.1;
/** Whoever is driven back gives ground so fast, feet a second. */
const DRIVEN = 5;
/** Seconds a linebacker reads before he runs, and a man of the secondary. */
const READS = { linebacker: 0.35, secondary: 0.9 };
/** Before the ball crosses the line, seconds, everybody has seen where it goes and leaves the way he was sent. */
const SEES_BALL = 0.4;
/** How a read man plays while he is being read: a share of his speed. */
const SQUEEZE = 0.22;
/** Depth to which a man drops who does not come on a pass, feet more than where he stood. */
const DROP = 12;

/** What the defence runs after: the ball and where it is going to cross the line. */
export interface Quarry {
  readonly ball: Point;
  readonly hole: Point;
  /** Seconds; the ball crosses the line, or is thrown. */
  readonly at: number;
  readonly pass: boolean;
}

/** One step of a defender: held by whoever is on him, else the way he was sent, else his reading of the play. */
export function moveDefender(
  d: RunningDefender,
  blockers: readonly RunningBlocker[],
  quarry: Quarry,
  time: number,
): void {
  const on = menOn(d, blockers);
  d.engaged = on.length > 0;
  if (d.engaged) return hold(d, on, quarry);
  const next = d.way[0];
  if (next && (quarry.pass || time < quarry.at - SEES_BALL)) {
    if (apart(next, d) > 1) return steer(d, next, time, 1, 0, true);
    d.way.shift();
    return moveDefender(d, blockers, quarry, time);
  }
  if (quarry.pass)
    return d.rushes
      ? steer(d, quarry.ball, time)
      : steer(d, { x: d.from.x, y: d.from.y + DROP }, time, 0.45, READS.linebacker);
  pursue(d, quarry, time);
}

const NOBODY: readonly RunningBlocker[] = [];

function menOn(d: RunningDefender, blockers: readonly RunningBlocker[]): readonly RunningBlocker[] {
  let on: RunningBlocker[] | null = null;
  for (const b of blockers)
    if (b.engaged && !b.down && (b.second ? b.plan.next : b.plan.target) === d.id) (on ??= []).push(b);
  return on ?? NOBODY;
}

/** One man holds him; two or more move him, away from the hole and off the line. On a pass he is only held. */
function hold(d: RunningDefender, on: readonly RunningBlocker[], { hole, pass }: Quarry): void {
  stand(d);
  const push = on.length > 1 && !pass && !on.some((b) => b.quirk === 'stands up') ? DOUBLE_PUSH : 0;
  const yields = on.some((b) => b.quirk === 'stands up') ? -DOUBLE_PUSH / 2 : 0;
  const driven = on.length === 1 && on[0]!.quirk === 'driven back' ? -DRIVEN : 0;
  const dy = (push + yields + driven) * STEP;
  const dx = (push > 0 ? Math.sign(d.x - hole.x) * 0.3 : 0) * STEP;
  d.x += dx;
  d.y += dy;
  for (const b of on) {
    b.x += dx;
    b.y += dy;
  }
}

function pursue(d: RunningDefender, { ball, hole, at }: Quarry, time: number): void {
  if (d.sent) return steer(d, time < at ? hole : ball, time);
  // Whoever has come through to the line plays like a man of the line, wherever he stood.
  const first = d.y <= FIRST_LEVEL_DEPTH;
  if (d.status === 'read' && time < at) return steer(d, { x: d.x * 0.95, y: -1.5 }, time, SQUEEZE);
  if (first && time < at)
    return steer(d, { x: d.x + (hole.x - d.x) * 0.5, y: -2 }, time, d.status === 'free' ? 1 : 0.6);
  const wait = first ? 0 : d.from.y <= 24 ? READS.linebacker : READS.secondary;
  // Before the ball is near the line a linebacker slides toward where it will cross, afterwards he goes to the ball.
  if (time < at - 0.15)
    return steer(d, { x: hole.x + (d.from.x - hole.x) * 0.5, y: d.from.y * 0.75 }, time, 0.4, wait, true);
  steer(d, ball, time, 1, wait);
}
