import { between, distance, type Point } from '../geometry/vec';
import { CARRIER_SPEED, TACKLE_REACH, timeToCover, type Mover } from './speeds';

const SAMPLES = 24;

/**
 * By how many seconds the puller is late where he has his best chance to meet a man who runs straight for the hole;
 * negative when he is early. Feet and seconds. Not looked for any better than `enough`.
 */
export function lateness(
  puller: Point,
  pullerMover: Mover,
  defender: Point,
  defenderMover: Mover,
  hole: Point,
  enough = -Infinity,
): number {
  let best = Infinity;
  for (let i = 0; i <= SAMPLES && best > enough; i++) {
    const place = between(defender, hole, i / SAMPLES);
    const late =
      timeToCover(distance(puller, place), pullerMover) - timeToCover(distance(defender, place), defenderMover);
    best = Math.min(best, late);
  }
  return best;
}

/** A run against whoever nobody has: where and when it crosses the line, feet and seconds. */
export interface Carry {
  readonly attack: number;
  readonly ballAtLine: number;
}

/** By how many seconds a free defender is at the ball before the carrier has gained this much, feet; negative when he is too late. */
export function aheadAt(defender: Point, mover: Mover, { attack, ballAtLine }: Carry, gained: number): number {
  const away = Math.max(0, distance(defender, { x: attack, y: gained }) - TACKLE_REACH);
  return ballAtLine + gained / CARRIER_SPEED - timeToCover(away, mover);
}

const HALVINGS = 12;

/** The first of the places tried on the ball's way up to `limit`, feet, where a free defender is before it; -1 for none. */
function firstAhead(defender: Point, mover: Mover, carry: Carry, limit: number): number {
  // Whoever cannot be at the nearest point of the ball's way by the time it has gained so much need not be raced.
  const nearest = { x: carry.attack, y: Math.max(0, Math.min(limit, defender.y)) };
  const soonest = timeToCover(Math.max(0, distance(defender, nearest) - TACKLE_REACH), mover);
  if (soonest > carry.ballAtLine + limit / CARRIER_SPEED) return -1;
  for (let i = 0; i <= SAMPLES; i++) if (aheadAt(defender, mover, carry, (limit * i) / SAMPLES) >= 0) return i;
  return -1;
}

/** Can a free defender meet the ball before it has gained `limit`, feet? */
export const canMeetBall = (defender: Point, mover: Mover, carry: Carry, limit: number): boolean =>
  firstAhead(defender, mover, carry, limit) >= 0;

/** How far downfield a free defender meets the ball, feet, or `null` when he cannot before `limit`. Continuous in where he stands. */
export function meetsBall(defender: Point, mover: Mover, carry: Carry, limit: number): number | null {
  const first = firstAhead(defender, mover, carry, limit);
  if (first < 0) return null;
  const gained = (limit * first) / SAMPLES;
  let [early, met] = [Math.max(0, gained - limit / SAMPLES), gained];
  for (let n = 0; first > 0 && n < HALVINGS; n++) {
    const middle = (early + met) / 2;
    if (aheadAt(defender, mover, carry, middle) < 0) early = middle;
    else met = middle;
  }
  return met;
}

/** How long a free defender must be held so that the ball is past him by `limit`, feet: seconds, 0 when nobody need hold him. */
export function holdFor(defender: Point, mover: Mover, carry: Carry, limit: number): number {
  let most = 0;
  for (let i = 0; i <= SAMPLES; i++) most = Math.max(most, aheadAt(defender, mover, carry, (limit * i) / SAMPLES));
  return most;
}

/** Seconds until a defender nobody blocks is within a tackle's reach of a place, straight. Feet. */
export const arrivesAt = (defender: Point, mover: Mover, place: Point): number =>
  timeToCover(Math.max(0, distance(defender, place) - TACKLE_REACH), mover);
