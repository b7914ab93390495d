import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SituationSchema, type Situation } from '../../model/snap';
import { correctSituation, FIRST_SNAP, situationAfter } from './series';

const situation: fc.Arbitrary<Situation> = fc.record({
  quarter: fc.integer({ min: 1, max: 5 }),
  down: fc.integer({ min: 1, max: 4 }),
  distance: fc.integer({ min: 1, max: 99 }),
  hash: fc.constantFrom('left' as const, 'middle' as const, 'right' as const),
  gain: fc.integer({ min: -99, max: 99 }),
});
const said = ({ down, distance }: Situation): string => `${down} and ${distance}`;
/** A log nobody has corrected: gains given, everything else what follows. */
const logOf = (gains: readonly number[], first = FIRST_SNAP): Situation[] => {
  const log: Situation[] = [];
  for (const gain of gains) {
    const last = log.at(-1);
    log.push({ ...(last ? situationAfter(last) : first), gain });
  }
  return log;
};

describe('down and distance', () => {
  it.each([
    [
      [4, 3, 2, 0],
      ['1 and 10', '2 and 6', '3 and 3', '4 and 1', '1 and 10'],
    ],
    [
      [12, -3, 0],
      ['1 and 10', '1 and 10', '2 and 13', '3 and 13'],
    ],
  ])('follow from what was gained: %o', (gains, downs) => {
    expect(logOf([...gains, 0]).map(said)).toEqual(downs);
  });

  it('are always ones that can be kept', () => {
    fc.assert(
      fc.property(situation, (s) => {
        expect(SituationSchema.safeParse(situationAfter(s)).success).toBe(true);
      }),
    );
  });
});

describe('a correction', () => {
  const log = fc.array(situation, { minLength: 1, maxLength: 12 });

  it('runs on through whatever followed from it, as if it had been said at once', () => {
    fc.assert(
      fc.property(
        fc.array(fc.integer({ min: -9, max: 30 }), { minLength: 1, maxLength: 15 }),
        fc.nat(14),
        fc.integer({ min: -9, max: 30 }),
        (gains, n, gain) => {
          const at = n % gains.length;
          const before = logOf(gains);
          const corrected = gains.map((g, i) => (i === at ? gain : g));
          expect(correctSituation(before, at, { ...before[at]!, gain })).toEqual(logOf(corrected));
        },
      ),
    );
  });

  it('touches nothing before it, nothing from the first snap on that somebody set otherwise, and no gain', () => {
    fc.assert(
      fc.property(log, fc.nat(11), situation, (all, n, to) => {
        const at = n % all.length;
        const next = correctSituation(all, at, to);
        expect(next.slice(0, at)).toEqual(all.slice(0, at));
        expect(next[at]).toEqual(to);
        expect(next.slice(at + 1).map((s) => s.gain)).toEqual(all.slice(at + 1).map((s) => s.gain));
        const own = all.findIndex((s, i) => i > at && said(s) !== said(situationAfter(all[i - 1]!)));
        if (own >= 0) expect(next.slice(own)).toEqual(all.slice(own));
      }),
    );
  });

  it('to what it was already changes nothing', () => {
    fc.assert(
      fc.property(log, fc.nat(11), (all, n) => {
        expect(correctSituation(all, n % all.length, all[n % all.length]!)).toEqual(all);
      }),
    );
  });
});
