import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { RESULTS, SituationChangeSchema, SituationSchema, type Situation } from '../../model/snap';
import { correctSituation, FIRST_SNAP, situationAfter } from './series';

const situation: fc.Arbitrary<Situation> = fc.record({
  quarter: fc.integer({ min: 1, max: 5 }),
  down: fc.integer({ min: 1, max: 4 }),
  distance: fc.integer({ min: 1, max: 99 }),
  hash: fc.constantFrom('left' as const, 'middle' as const, 'right' as const),
  gain: fc.integer({ min: -99, max: 99 }),
  beforeContact: fc.option(fc.integer({ min: -99, max: 99 })),
  series: fc.integer({ min: 1, max: 60 }),
  toGoal: fc.option(fc.integer({ min: 1, max: 99 })),
  result: fc.constantFrom(...RESULTS),
  penalty: fc.option(
    fc.record({
      what: fc.constant('holding'),
      on: fc.constantFrom('us' as const, 'them' as const),
      yards: fc.integer({ min: 0, max: 99 }),
      again: fc.boolean(),
    }),
  ),
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

  const holding = { what: 'holding', on: 'us', yards: 10, again: true } as const;
  it.each<[string, Partial<Situation>, Partial<Situation>]>([
    ['a score begins a new series', { result: 'touchdown', gain: 3 }, { series: 3, down: 1, toGoal: null }],
    ['the goal line reached is a score', { toGoal: 4, gain: 4, distance: 4 }, { series: 3, toGoal: null }],
    ['a lost ball begins a new series', { result: 'ball lost', gain: 8 }, { series: 3, down: 1 }],
    ['a fourth down that failed begins one', { down: 4, distance: 2, gain: 1 }, { series: 3, down: 1, distance: 10 }],
    ['a fourth down that was made goes on', { down: 4, distance: 2, gain: 2 }, { series: 2, down: 1 }],
    ['near the goal it is and goal', { toGoal: 18, gain: 12 }, { down: 1, distance: 6, toGoal: 6 }],
    ['the ball moves with the gain', { toGoal: 65, gain: -3 }, { down: 3, distance: 10, toGoal: 68 }],
    ['a flag on us plays the down again, farther', { gain: 9, penalty: holding }, { down: 2, distance: 17 }],
    [
      'a flag at the end of the play counts with it',
      { gain: 2, penalty: { ...holding, on: 'them', yards: 15, again: false } },
      { down: 1, distance: 10 },
    ],
    ['no play changes nothing', { result: 'no play', gain: 30 }, { down: 2, distance: 7, series: 2 }],
  ])('%s', (_what, change, after) => {
    const last: Situation = { ...FIRST_SNAP, series: 2, down: 2, distance: 7, ...change };
    expect(situationAfter(last)).toMatchObject({
      ...after,
      gain: 0,
      beforeContact: null,
      result: 'went on',
      penalty: null,
    });
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
        const ended = ({ result, penalty, beforeContact }: Situation) => [result, penalty, beforeContact];
        expect(next.slice(at + 1).map(ended)).toEqual(all.slice(at + 1).map(ended));
        const own = all.findIndex((s, i) => i > at && said(s) !== said(situationAfter(all[i - 1]!)));
        if (own >= 0) expect(next.slice(own)).toEqual(all.slice(own));
      }),
    );
  });

  it('leaves a place that was first written down after it, and runs on from there', () => {
    const [first, second, third] = logOf([4, 3, 1]);
    const placed = [first!, { ...second!, toGoal: 65 }, { ...third!, toGoal: 62 }];
    const next = correctSituation(placed, 0, { ...first!, gain: 6 });
    expect(next.map((s) => [said(s), s.toGoal])).toEqual([
      ['1 and 10', null],
      ['2 and 4', 65],
      ['3 and 1', 62],
    ]);
    const other = correctSituation(placed, 1, { ...placed[1]!, toGoal: 30 });
    expect(other[2]!.toGoal).toBe(27);
  });

  it('to what it was already changes nothing', () => {
    fc.assert(
      fc.property(log, fc.nat(11), (all, n) => {
        expect(correctSituation(all, n % all.length, all[n % all.length]!)).toEqual(all);
      }),
    );
  });
});

describe('a change of a situation', () => {
  it('says nothing of what it does not name', () => {
    expect(SituationChangeSchema.parse({ gain: 4 })).toEqual({ gain: 4 });
    const { series, toGoal, result, penalty, ...kept } = FIRST_SNAP;
    expect(SituationSchema.parse(kept)).toEqual({ ...kept, series, toGoal, result, penalty });
  });
});
