import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { frameAt, sameMoment, seekTime, sinceSnap } from './frames';

const rate = fc.constantFrom(24, 25, 30_000 / 1001, 30, 50, 60_000 / 1001, 60);
const clip = fc
  .record({
    framesPerSecond: rate,
    frames: fc.integer({ min: 60, max: 400 }),
    at: fc.double({ min: 0, max: 1, noNaN: true }),
  })
  .map(({ at, ...c }) => ({ ...c, snapFrame: Math.floor(at * (c.frames - 1)) }));

describe('frames', () => {
  it('asked for are the frames shown', () => {
    fc.assert(
      fc.property(fc.nat(100_000), rate, (frame, perSecond) => {
        const asked = seekTime(frame, perSecond);
        const [starts, ends] = [frame / perSecond, (frame + 1) / perSecond];
        expect(asked > starts && asked < ends).toBe(true);
        // Players say when a frame starts, rounded to microseconds.
        expect(frameAt(Math.round(starts * 1e6) / 1e6, perSecond)).toBe(frame);
      }),
    );
  });

  it('of two clips at one moment are as long after the snap, within half a frame', () => {
    fc.assert(
      fc.property(clip, clip, fc.nat(399), (one, other, n) => {
        const frame = n % one.frames;
        const there = sameMoment(frame, one, other);
        const inside = there > 0 && there < other.frames - 1;
        const [here, then] = [
          sinceSnap(frame, one.snapFrame, one.framesPerSecond),
          sinceSnap(there, other.snapFrame, other.framesPerSecond),
        ];
        if (inside) expect(Math.abs(here - then)).toBeLessThanOrEqual(0.5 / other.framesPerSecond + 1e-9);
        else expect(there === 0 ? then >= here - 1 : then <= here + 1).toBe(true);
        expect(there >= 0 && there < other.frames).toBe(true);
        expect(sameMoment(one.snapFrame, one, other)).toBe(other.snapFrame);
      }),
    );
  });
});
