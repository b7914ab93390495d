import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { saySpread, SPREAD_PARTS, spreadOf, sumOfSpreads, type Spread } from './spread';

const weight = fc.double({ min: 0, max: 1, noNaN: true });
const spread: fc.Arbitrary<Spread> = fc.record(
  Object.fromEntries(SPREAD_PARTS.map((part) => [part, fc.nat(90)])) as Record<keyof Spread, fc.Arbitrary<number>>,
);

describe('how marks spread', () => {
  it.each([
    [1, 1, 'all'],
    [0.1 + 0.2, 0.3, 'all'],
    [0.5, 1, 'more'],
    [0.7, 1, 'more'],
    [0.4, 1, 'less'],
    [0, 1, 'nothing'],
    [0, 0, 'open'],
  ] as const)('%d of %d is %s', (earned, possible, part) => {
    expect(spreadOf(earned, possible)).toBe(part);
  });

  it('never puts a better mark into a worse part', () => {
    const better = ['nothing', 'less', 'more', 'all'];
    fc.assert(
      fc.property(weight, weight, (a, b) => {
        const [worse, good] = [Math.min(a, b), Math.max(a, b)].map((earned) => better.indexOf(spreadOf(earned, 1)));
        expect(worse).toBeLessThanOrEqual(good!);
      }),
    );
  });

  it('adds up part by part, in whatever order', () => {
    fc.assert(
      fc.property(fc.array(spread, { maxLength: 6 }), (all) => {
        const sum = sumOfSpreads(all);
        expect(sumOfSpreads([...all].reverse())).toEqual(sum);
        const marks = (one: Spread): number => SPREAD_PARTS.reduce((n, part) => n + one[part], 0);
        expect(marks(sum)).toBe(all.reduce((n, one) => n + marks(one), 0));
      }),
    );
  });

  it('is said without what nobody earned', () => {
    expect(saySpread('61 Rook', { all: 31, more: 6, less: 0, nothing: 4, open: 1 })).toBe(
      '61 Rook: all of it 31, half and more 6, nothing 4, could not be told 1',
    );
  });
});
