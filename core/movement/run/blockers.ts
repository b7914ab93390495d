import type { Point } from '../../geometry/vec';
import type { Assignment } from '../../model/resolution';
import { BLOCKS, type BlockId } from '../../vocabulary/index';
import { apart, BODY_ROOM, CONTACT, stand, steer, STEP, type Body } from './bodies';

/** How a block is lost once it has begun: past him toward the ball, past him away from it, or both of them into the backfield. */
export const WAYS_LOST = ['beaten inside', 'beaten outside', 'driven back'] as const;
export type WayLost = (typeof WAYS_LOST)[number];

/** What a man does that no rule asks of him. */
export type Quirk =
  'false step' | 'misses' | 'falls' | 'too deep' | 'leaves early' | 'leaves late' | 'stands up' | WayLost;

export interface RunningBlocker extends Body {
  readonly plan: Assignment;
  readonly quirk: Quirk | null;
  /** Turns of his path still ahead of his first contact. */
  readonly corners: Point[];
  /** He is on his second man. */
  second: boolean;
  /** Whether it is he who goes on to the second man. */
  goesOn: boolean;
  /** Seconds he has been engaged with the man he is on. */
  held: number;
  /** His man is past him. */
  beaten: boolean;
  /** Until when somebody driven into his way holds him up, seconds from the snap. */
  heldUpUntil: number;
}

/** Seconds two men stay on one before one of them goes on; and what those who err do. */
const HAND_OVER = { usual: 0.6, 'leaves early': 0.1, 'leaves late': 1.9 } as const;
/** A linebacker this near ends a double team, feet. */
const COMES_OFF_AT = 4;
/** A man who pulls cuts his corners by this much, feet. */
const TURNS_AT = 1.8;
/** A man who sets goes to his rusher once he is this near, feet. */
const SET_REACH = 6;
/** How far ahead of a man who runs he is met, seconds at most. */
const LEAD = 0.6;
/** How far a man who misses runs beside his man, feet, and when a man who falls does, seconds. */
const MISS = 3;
const FALLS_AT = 0.7;
const FALSE_STEP_UNTIL = 0.42;
const TOO_DEEP = 4;
/** How long a man holds who is then beaten, seconds; an assumption. */
const BEATEN_AFTER = 0.3;
/** How long a man who pulls is held up by somebody who is driven into his way, seconds, and how near that one comes, feet. */
const HOLD_UP = 0.6;
const IN_HIS_WAY = 2;

/** The turns before the first contact; pass sets end at their set point, so they keep it. */
export function cornersOf(plan: Assignment, quirk: Quirk | null): Point[] {
  const { course } = BLOCKS[plan.block as BlockId];
  if (course === 'retreat') return plan.path.slice(1).map((p) => ({ ...p }));
  if (course !== 'behind-the-line') return [];
  return plan.path
    .slice(1, Math.max(1, plan.path.length - (plan.next ? 2 : 1)))
    .map((c) => ({ x: c.x, y: quirk === 'too deep' && c.y < -2 ? c.y - TOO_DEEP : c.y }));
}

/** The defender he is after now. */
export const after = (b: RunningBlocker, defenders: ReadonlyMap<string, Body>): Body | undefined => {
  const id = b.second ? b.plan.next : b.plan.target;
  return id === null ? undefined : defenders.get(id);
};

/** One step of a blocker: his path, his man, and on when it is time. */
export function moveBlocker(b: RunningBlocker, defenders: ReadonlyMap<string, Body>, time: number): void {
  if (b.quirk === 'falls' && time > FALLS_AT) b.down = true;
  if (b.down) return stand(b);
  if (b.quirk === 'false step' && time < FALSE_STEP_UNTIL) return steer(b, { x: b.x, y: b.y - 2 }, time, 0.16);
  const target = after(b, defenders);
  if (b.beaten || time < b.heldUpUntil) {
    b.engaged = false;
    return stand(b);
  }
  b.engaged = target !== undefined && !target.down && apart(b, target) <= CONTACT && b.quirk !== 'misses';
  if (b.engaged) return engage(b, target!, defenders);
  b.held = 0;
  const corner = b.corners[0];
  if (corner) {
    if (apart(corner, b) > TURNS_AT) return steer(b, corner, time);
    b.corners.shift();
  }
  const { course } = BLOCKS[b.plan.block as BlockId];
  if (!target) return course === 'climb' ? steer(b, { x: b.x, y: 12 }, time, 0.5) : stand(b);
  if (course === 'retreat') return waitFor(b, target, time);
  const miss = b.quirk === 'misses' ? MISS : 0;
  const lead = Math.min(LEAD, apart(b, target) / (b.mover.topSpeed * 0.6));
  steer(b, { x: target.x + target.vx * lead + miss, y: target.y + target.vy * lead + miss }, time);
}

/** Set and square: he mirrors his man to the side and lets him come. */
function waitFor(b: RunningBlocker, target: Body, time: number): void {
  if (target.y > 6) return stand(b);
  const away = apart(b, target);
  if (away < SET_REACH) steer(b, target, time, 0.8);
  else
    steer(b, { x: b.x + Math.sign(target.x - b.x) * Math.min(2, Math.abs(target.x - b.x)), y: b.y - 0.2 }, time, 0.5);
}

function engage(b: RunningBlocker, target: Body, defenders: ReadonlyMap<string, Body>): void {
  b.held += STEP;
  stand(b);
  if ((b.quirk === 'beaten inside' || b.quirk === 'beaten outside') && b.held >= BEATEN_AFTER)
    return letPast(b, target, b.quirk);
  const next = b.plan.next === null ? undefined : defenders.get(b.plan.next);
  if (!next || b.second || !b.goesOn) return;
  const stay = b.quirk === 'leaves early' || b.quirk === 'leaves late' ? HAND_OVER[b.quirk] : HAND_OVER.usual;
  const comes = b.quirk !== 'leaves late' && apart(b, next) < COMES_OFF_AT && next !== target;
  if (b.held < stay && !comes) return;
  b.second = true;
  b.held = 0;
  b.engaged = false;
}

/** His man is beside him, on the side of the ball or on the other one, and free. */
function letPast(b: RunningBlocker, target: Body, quirk: 'beaten inside' | 'beaten outside'): void {
  const toBall = b.x > 0 ? -1 : 1;
  target.x = b.x + (quirk === 'beaten inside' ? toBall : -toBall) * BODY_ROOM;
  b.beaten = true;
  b.engaged = false;
}

/** Whoever pulls and comes upon a man who is driven back is held up, once. */
export function holdUpPullers(blockers: readonly RunningBlocker[], time: number): void {
  for (const driven of blockers) {
    if (driven.quirk !== 'driven back' || !driven.engaged) continue;
    for (const b of blockers)
      if (b !== driven && b.plan.pull && b.heldUpUntil === 0 && !b.engaged && apart(b, driven) < IN_HIS_WAY)
        b.heldUpUntil = time + HOLD_UP;
  }
}

/** Of men who would go on to one linebacker, the one who does: the helper, else the one nearer to him; of two alike the one nearer the ball. */
export function whoGoesOn(blockers: readonly RunningBlocker[], defenders: ReadonlyMap<string, Body>): void {
  for (const b of blockers) {
    const next = b.plan.next === null ? undefined : defenders.get(b.plan.next);
    if (!next) continue;
    const rank = (o: RunningBlocker): number =>
      (BLOCKS[o.plan.block as BlockId].comesOffFirst ? -100 : 0) + Math.abs(o.x - next.x) + Math.abs(o.x) / 1000;
    b.goesOn = !blockers.some(
      (o) => o !== b && o.plan.target === b.plan.target && o.plan.next === b.plan.next && rank(o) < rank(b),
    );
  }
}
