import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { leavesLevel, stopsFalling } from './kink';

const LAST = 20;
/** Frames around a bend that tell of it. */
const AROUND = 4;
const FRAMES = Array.from({ length: LAST + 1 }, (_, f) => f);
const at = fc.integer({ min: 4, max: LAST - 4 });
const speed = fc.double({ min: 0.05, max: 0.5, noNaN: true });
const noise = fc.array(fc.double({ min: -1, max: 1, noNaN: true }), { minLength: LAST + 1, maxLength: LAST + 1 });
const level = fc.double({ min: -40, max: 40, noNaN: true });

/** Falls by so much a frame until a frame, and is level from there. */
const falling = (until: number, by: number): number[] => FRAMES.map((f) => by * Math.max(0, until - f));
/** Is level until a frame and gathers speed from there. */
const leaving = (from: number, by: number): number[] => FRAMES.map((f) => by * Math.max(0, f - from) ** 1.5);
const sum = (...series: readonly number[][]): number[] => FRAMES.map((f) => series.reduce((s, v) => s + v[f]!, 0));
const known = (values: number[], weight = 1): { values: number[]; weight: number } => ({ values, weight });

describe('where series stop falling', () => {
  it('is the frame of the bend, wherever the whole of it lies and however evenly it goes on', () => {
    fc.assert(
      fc.property(at, speed, level, speed, (bend, by, base, drift) => {
        const values = sum(
          falling(bend, by),
          FRAMES.map((f) => base - drift * f),
        );
        expect(stopsFalling([known(values)], 0, LAST, AROUND)).toBe(bend);
      }),
    );
  });
  it('is found within two frames where a place is off by a third of what is gone in a frame', () => {
    fc.assert(
      fc.property(at, speed, noise, (bend, by, wavers) => {
        const values = sum(
          falling(bend, by),
          wavers.map((w) => (w * by) / 3),
        );
        expect(Math.abs(stopsFalling([known(values)], 0, LAST, AROUND)! - bend)).toBeLessThanOrEqual(2);
      }),
    );
  });
  it('is that of a man who is faster with every frame until he stops, not of the frame on which he got off', () => {
    fc.assert(
      fc.property(at, speed, (bend, by) => {
        const values = FRAMES.map((f) => -(by / bend) * Math.min(f, bend) ** 2);
        expect(Math.abs(stopsFalling([known(values)], 0, LAST, AROUND)! - bend)).toBeLessThanOrEqual(1);
      }),
    );
  });
  it('is that of the series which is known, not of the one that is not', () => {
    fc.assert(
      fc.property(at, at, speed, (bend, other, by) => {
        const both = [known(falling(bend, by), 400), known(falling(other, by), 1)];
        expect(Math.abs(stopsFalling(both, 0, LAST, AROUND)! - bend)).toBeLessThanOrEqual(1);
      }),
    );
  });
  it('is nowhere in a series that goes on evenly, or begins to fall', () => {
    expect(stopsFalling([known(FRAMES.map((f) => -0.25 * f))], 0, LAST, AROUND)).toBeNull();
    expect(stopsFalling([known(falling(9, -0.25))], 0, LAST, AROUND)).toBeNull();
  });
  it('is looked for between two frames only', () => {
    const values = sum(falling(5, 0.5), falling(15, 0.25));
    expect(stopsFalling([known(values)], 0, 10, AROUND)).toBe(5);
    expect(stopsFalling([known(values)], 10, LAST, AROUND)).toBe(15);
  });
});

describe('where a series leaves its level', () => {
  it('is the frame it begins on, whatever the level and however fast it goes', () => {
    fc.assert(
      fc.property(at, speed, level, (begins, by, base) => {
        const values = sum(
          leaving(begins, by),
          FRAMES.map(() => base),
        );
        expect(leavesLevel(values, 0, LAST)).toBe(begins);
      }),
    );
  });
  it('is found within two frames of a series that wavers', () => {
    fc.assert(
      fc.property(fc.integer({ min: 4, max: 12 }), speed, noise, (begins, by, wavers) => {
        const values = sum(
          leaving(begins, by),
          wavers.map((w) => w * by),
        );
        expect(Math.abs(leavesLevel(values, 0, LAST)! - begins)).toBeLessThanOrEqual(2);
      }),
    );
  });
  it('is nowhere in a series that stays, or goes down', () => {
    expect(leavesLevel(leaving(9, 0), 0, LAST)).toBeNull();
    expect(leavesLevel(leaving(9, -0.25), 0, LAST)).toBeNull();
  });
});
