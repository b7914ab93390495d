import { between, distance, type Point } from '../geometry/vec';
import { CARRIER_SPEED, TACKLE_REACH, timeToCover, type Mover } from './speeds';

const SAMPLES = 24;

/**
 * By how many seconds the puller is late where he has his best chance to meet a man who runs straight for the hole;
 * negative when he is early. Feet and seconds.
 */
export function lateness(
  puller: Point,
  pullerMover: Mover,
  defender: Point,
  defenderMover: Mover,
  hole: Point,
): number {
  let best = Infinity;
  for (let i = 0; i <= SAMPLES; i++) {
    const place = between(defender, hole, i / SAMPLES);
    const late =
      timeToCover(distance(puller, place), pullerMover) - timeToCover(distance(defender, place), defenderMover);
    best = Math.min(best, late);
  }
  return best;
}

/** Downfield depth in feet at which a free defender meets the ball, or `null` when he cannot before `limit` feet. */
export function meetsBall(
  defender: Point,
  mover: Mover,
  attack: Point,
  ballAtLine: number,
  limit: number,
): number | null {
  for (let i = 0; i <= SAMPLES; i++) {
    const y = (limit * i) / SAMPLES;
    const ball = ballAtLine + y / CARRIER_SPEED;
    const away = Math.max(0, distance(defender, { x: attack.x, y }) - TACKLE_REACH);
    if (timeToCover(away, mover) <= ball) return y;
  }
  return null;
}

/** Seconds until a defender nobody blocks is within a tackle's reach of a place, straight. Feet. */
export const arrivesAt = (defender: Point, mover: Mover, place: Point): number =>
  timeToCover(Math.max(0, distance(defender, place) - TACKLE_REACH), mover);
