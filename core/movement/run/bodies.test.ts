import { describe, expect, it } from 'vitest';
import { timeToCover, type Mover } from '../../kinematics/speeds';
import { apart, BODY_ROOM, bodyAt, keepApart, STEP, steer, type Body } from './bodies';

const MAN: Mover = { delay: 0.2, acceleration: 11, topSpeed: 17 };
const at = (x: number, y: number): Body => bodyAt('A', 'offence', { x, y }, MAN);

/** Seconds until a man is within half a foot of a place, steered there step by step. */
function timeTo(distance: number, stops: boolean, mover = MAN): number {
  const body = bodyAt('A', 'offence', { x: 0, y: 0 }, mover);
  for (let i = 1; i < 600; i++) {
    steer(body, { x: distance, y: 0 }, i * STEP, 1, 0, stops);
    if (Math.abs(body.x - distance) < 0.5) return i * STEP;
  }
  return Infinity;
}

describe('a man who gets going', () => {
  it.each([5, 12, 20, 40])('covers %i ft in the time reckoned for it', (distance) => {
    expect(Math.abs(timeTo(distance, false) - timeToCover(distance - 0.5, MAN))).toBeLessThan(0.05);
  });

  it('stands until his delay is over, and longer when he is told to wait', () => {
    const body = at(0, 0);
    steer(body, { x: 10, y: 0 }, 0.19);
    expect(body.x).toBe(0);
    steer(body, { x: 10, y: 0 }, 0.3, 1, 0.2);
    expect(body.x).toBe(0);
    steer(body, { x: 10, y: 0 }, 0.3);
    expect(body.x).toBeGreaterThan(0);
  });

  it('never runs faster than he can, nor than the share he is told', () => {
    const [full, half] = [at(0, 0), at(0, 0)];
    for (let i = 1; i < 300; i++) {
      steer(full, { x: 1000, y: 0 }, i * STEP);
      steer(half, { x: 1000, y: 0 }, i * STEP, 0.5);
    }
    expect(full.vx).toBeCloseTo(17, 6);
    expect(half.vx).toBeCloseTo(8.5, 6);
  });
});

describe('a man who stops where he goes', () => {
  // He gathers speed at a, brakes two and a half times as hard: v²/2a + v²/5a is the way, v/a + v/2.5a the time.
  it.each([6, 14, 20])('is there over %i ft when speeding up and braking allow', (distance) => {
    const v = Math.sqrt(distance / (1 / (2 * MAN.acceleration) + 1 / (5 * MAN.acceleration)));
    const lastHalfFoot = Math.sqrt((2 * 0.5) / (2.5 * MAN.acceleration));
    const needs = MAN.delay + v / MAN.acceleration + v / (2.5 * MAN.acceleration) - lastHalfFoot;
    expect(Math.abs(timeTo(distance, true) - needs)).toBeLessThan(0.06);
  });

  it('does not run past, and then stands there', () => {
    const body = at(0, 0);
    let farthest = 0;
    for (let i = 1; i < 400; i++) {
      steer(body, { x: 14, y: 0 }, i * STEP, 1, 0, true);
      farthest = Math.max(farthest, body.x);
    }
    expect(farthest).toBeLessThan(14.2);
    expect(body.x).toBeCloseTo(14, 2);
    expect(Math.abs(body.vx)).toBeLessThan(0.05);
  });
});

describe('two bodies', () => {
  it('are moved off each other, half each, and only as far as they need', () => {
    const [a, b] = [at(0, 0), at(1, 0)];
    keepApart([a, b], new Float64Array(2));
    expect(apart(a, b)).toBeCloseTo(BODY_ROOM, 10);
    expect(a.x + b.x).toBeCloseTo(1, 10);
    const [c, d] = [at(0, 0), at(BODY_ROOM + 0.01, 0)];
    keepApart([c, d], new Float64Array(2));
    expect([c.x, d.x]).toEqual([0, BODY_ROOM + 0.01]);
  });
});
