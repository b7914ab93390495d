import type { Point } from '../../geometry/vec';
import type { Mover } from '../../kinematics/speeds';

/** Seconds a step of the run lasts. */
export const STEP = 1 / 60;
/** Noses this near are in contact, feet: arms' length. */
export const CONTACT = 1.7;
/** Noses never come nearer than this, feet. */
export const BODY_ROOM = 1.35;

/** Somebody on the field in motion: feet, feet a second, field frame. */
export interface Body {
  readonly id: string;
  readonly team: 'offence' | 'defence';
  x: number;
  y: number;
  vx: number;
  vy: number;
  readonly mover: Mover;
  /** Somebody he is engaged with moves him, or he them. */
  engaged: boolean;
  /** He is on the ground and out of it. */
  down: boolean;
}

export const bodyAt = (id: string, team: Body['team'], { x, y }: Point, mover: Mover): Body => ({
  id,
  team,
  x,
  y,
  vx: 0,
  vy: 0,
  mover,
  engaged: false,
  down: false,
});

export const apart = (a: Point, b: Point): number => Math.sqrt((a.x - b.x) ** 2 + (a.y - b.y) ** 2);

/**
 * Gathers speed toward a place within the mover's limits, after his delay; `share` of his top speed, `wait` seconds more.
 * A man who `stops` there runs no faster than he can still stop in; others run through.
 */
export function steer(b: Body, to: Point, time: number, share = 1, wait = 0, stops = false): void {
  if (time < b.mover.delay + wait) return;
  const dx = to.x - b.x;
  const dy = to.y - b.y;
  const away = Math.sqrt(dx * dx + dy * dy);
  const per =
    away === 0
      ? 0
      : Math.min(
          b.mover.topSpeed * share,
          away / STEP,
          stops ? Math.sqrt(2 * BRAKES * b.mover.acceleration * away) : Infinity,
        ) / away;
  const gain = b.mover.acceleration * STEP;
  b.vx += change(b.vx, dx * per, gain);
  b.vy += change(b.vy, dy * per, gain);
  b.x += b.vx * STEP;
  b.y += b.vy * STEP;
}

/** How much harder a man can brake than gather speed. */
const BRAKES = 2.5;

/** By how much a speed changes in a step toward the one wanted. */
function change(speed: number, wanted: number, gain: number): number {
  const most = wanted * speed < 0 || Math.abs(wanted) < Math.abs(speed) ? gain * BRAKES : gain;
  const by = wanted - speed;
  return by > most ? most : by < -most ? -most : by;
}

export function stand(b: Body): void {
  b.vx = 0;
  b.vy = 0;
}

/** Bodies do not pass through each other: whoever stands too near is moved off, half each. `xs` has room for everybody's place. */
export function keepApart(everyone: readonly Body[], xs: Float64Array): void {
  for (let i = 0; i < everyone.length; i++) xs[i] = everyone[i]!.x;
  for (let i = 0; i < everyone.length; i++) {
    for (let j = i + 1; j < everyone.length; j++) {
      const dx = xs[i]! - xs[j]!;
      if (dx < BODY_ROOM && dx > -BODY_ROOM && moveOff(everyone[i]!, everyone[j]!)) {
        xs[i] = everyone[i]!.x;
        xs[j] = everyone[j]!.x;
      }
    }
  }
}

function moveOff(a: Body, b: Body): boolean {
  const dx = a.x - b.x;
  const dy = a.y - b.y;
  const away = Math.sqrt(dx * dx + dy * dy);
  if (away >= BODY_ROOM || away === 0) return false;
  const push = (BODY_ROOM - away) / 2 / away;
  a.x += dx * push;
  a.y += dy * push;
  b.x -= dx * push;
  b.y -= dy * push;
  return true;
}
