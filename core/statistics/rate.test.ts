import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { rateOf, TOO_FEW } from './rate';

describe('a rate with its interval', () => {
  // Wilson's score interval worked by hand: centre (p + z²/2n) / (1 + z²/n), half z/(1 + z²/n) · √(p(1−p)/n + z²/4n²), z = 1.96.
  it.each([
    [3, 4, 0.301, 0.954],
    [0, 10, 0, 0.278],
    [10, 10, 0.722, 1],
    [45, 60, 0.628, 0.842],
    [1, 2, 0.095, 0.905],
  ])('%i of %i: from %f to %f', (good, of, low, high) => {
    const rate = rateOf(good, of, 0);
    expect(rate.share).toBeCloseTo(good / of, 10);
    expect(rate.low).toBeCloseTo(low, 3);
    expect(rate.high).toBeCloseTo(high, 3);
  });

  it('holds its share, stays between nothing and all, and narrows with more to count', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 300 }), fc.nat(300), (of, k) => {
        const good = k % (of + 1);
        const [few, many] = [rateOf(good, of, 0), rateOf(good * 4, of * 4, 0)];
        expect(few.low).toBeLessThanOrEqual(few.share! + 1e-12);
        expect(few.high).toBeGreaterThanOrEqual(few.share! - 1e-12);
        expect(few.low).toBeGreaterThanOrEqual(0);
        expect(few.high).toBeLessThanOrEqual(1);
        expect(many.high - many.low).toBeLessThan(few.high - few.low);
      }),
    );
  });

  it('turned around it is the same interval turned around', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 200 }), fc.nat(200), (of, k) => {
        const good = k % (of + 1);
        const [one, other] = [rateOf(good, of, 0), rateOf(of - good, of, 0)];
        expect(one.low).toBeCloseTo(1 - other.high, 10);
      }),
    );
  });

  it('is nothing without a base, and too few below the floor', () => {
    expect(rateOf(0, 0, 7)).toEqual({ good: 0, of: 0, unknown: 7, share: null, low: 0, high: 1, tooFew: true });
    expect(rateOf(1, TOO_FEW - 1, 0).tooFew).toBe(true);
    expect(rateOf(1, TOO_FEW, 0).tooFew).toBe(false);
  });
});
