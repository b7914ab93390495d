import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { kappaOf } from './kappa';

/** Pairs from a table of counts: rows are the first grader's categories, columns the second's. */
const from = (table: Record<string, Record<string, number>>): [string, string][] =>
  Object.entries(table).flatMap(([a, row]) =>
    Object.entries(row).flatMap(([b, n]) => Array.from({ length: n }, (): [string, string] => [a, b])),
  );
const MARKS = ['plus', 'minus', 'cannot tell'];
const aPairs = fc.array(fc.tuple(fc.constantFrom(...MARKS), fc.constantFrom(...MARKS)), {
  minLength: 1,
  maxLength: 60,
});

describe('agreement beyond chance', () => {
  // Worked by hand: 35 of 50 alike, chance 0.5·0.6 + 0.5·0.4 = 0.5, kappa (0.7 − 0.5) / 0.5.
  it('of a table worked by hand', () => {
    const found = kappaOf(from({ yes: { yes: 20, no: 5 }, no: { yes: 10, no: 15 } }));
    expect(found).toMatchObject({ pairs: 50, same: 35, share: 0.7 });
    expect(found.kappa).toBeCloseTo(0.4, 10);
  });

  // Points 0, 1, 2 with linear weights: seen (3·½ + 1·1)/10, chance from the margins (0.5, 0.3, 0.2) and (0.4, 0.3, 0.3).
  it('weighs a near miss less than a far one, on a scale', () => {
    const pairs = from({ '0': { '0': 3, '1': 1, '2': 1 }, '1': { '0': 1, '1': 2 }, '2': { '1': 0, '2': 1, '0': 0 } });
    pairs.push(['2', '1']);
    const seen = (3 * 0.5 + 1 * 1) / 10;
    const [one, two] = [
      [0.5, 0.3, 0.2],
      [0.4, 0.4, 0.2],
    ];
    let chance = 0;
    for (let i = 0; i < 3; i++) for (let j = 0; j < 3; j++) chance += (one![i]! * two![j]! * Math.abs(i - j)) / 2;
    expect(kappaOf(pairs, ['0', '1', '2']).kappa).toBeCloseTo(1 - seen / chance, 10);
    expect(kappaOf(pairs, ['0', '1', '2']).kappa!).toBeGreaterThan(kappaOf(pairs).kappa!);
  });

  it('is one where all are alike, and nothing where chance explains everything or there is nothing', () => {
    expect(kappaOf(from({ plus: { plus: 3 }, minus: { minus: 2 } })).kappa).toBe(1);
    expect(kappaOf(from({ plus: { plus: 3 } }))).toEqual({ pairs: 3, same: 3, share: 1, kappa: null });
    expect(kappaOf([])).toEqual({ pairs: 0, same: 0, share: null, kappa: null });
  });

  it('never passes one, is the same whoever is named first, and does not hang on the order', () => {
    fc.assert(
      fc.property(aPairs, (pairs) => {
        const { kappa, share } = kappaOf(pairs);
        const turned = kappaOf(pairs.map(([a, b]): [string, string] => [b, a])).kappa;
        if (kappa === null) expect(turned).toBeNull();
        else {
          expect(kappa).toBeLessThanOrEqual(1 + 1e-12);
          expect(turned).toBeCloseTo(kappa, 10);
          expect(kappaOf([...pairs].reverse()).kappa).toBeCloseTo(kappa, 10);
          expect(kappa).toBeLessThanOrEqual(share! + 1e-12);
        }
      }),
    );
  });
});
