import { describe, expect, it } from 'vitest';
import { readFormation } from '../language/lineups/read-formation';
import { readFront } from '../language/lineups/read-front';
import { shippedScheme } from '../calls/resolve-call';
import { need } from '../testing/need';
import { prepareCall } from '../resolve/prepare/prepare-call';
import { NO_RATINGS, RatingsSchema, type Ratings } from '../model/ratings';
import { bestRusher, matchupsOf, sayMatch, sayTwoOn, twoOn, type ProvedCall } from './matchups';
import { provePressures } from './prove';

const men = need(readFormation('LT LG C RG RT B; QB pistol'));
const front = need(readFront('LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right', men));
const proof = (id: string, side: 'left' | 'right') =>
  provePressures(prepareCall(need(shippedScheme(id)), men, { side }), front);
const alone = [
  { blocker: 'LT', on: 'LE', spare: 0.1 },
  { blocker: 'RT', on: 'RE', spare: 0.4 },
  { blocker: 'RG', on: 'T', spare: 0.7 },
];
const RATED: Ratings = { ours: { LT: 4, RT: 2 }, theirs: { LE: 3, RE: 5 } };

describe('matchups', () => {
  it('have the worst first and who is not rated last', () => {
    expect(matchupsOf({ alone }, RATED).map((m) => [m.blocker, m.behind])).toEqual([
      ['RT', 3],
      ['LT', -1],
      ['RG', null],
    ]);
  });

  it('keep the order of the least time in hand while nobody is rated', () => {
    expect(matchupsOf({ alone }, NO_RATINGS).map((m) => m.blocker)).toEqual(['LT', 'RT', 'RG']);
  });

  it('take ratings from one to five and nothing else', () => {
    expect(RatingsSchema.parse({})).toEqual(NO_RATINGS);
    expect(RatingsSchema.safeParse({ ours: { LT: 6 } }).success).toBe(false);
    expect(RatingsSchema.safeParse({ theirs: { RE: 5 } }).success).toBe(true);
  });

  it('know the best rusher only when one is better than the others', () => {
    expect(bestRusher(['LE', 'RE', 'T'], RATED)).toBe('RE');
    expect(bestRusher(['LE', 'T'], { ours: {}, theirs: { LE: 4, T: 4 } })).toBeNull();
    expect(bestRusher(['LE', 'RE'], NO_RATINGS)).toBeNull();
    expect(bestRusher(['LE'], RATED)).toBe('LE');
  });
});

describe('two on one rusher', () => {
  const proved: ProvedCall[] = ['pro-five-back', 'pro-half-slide', 'pro-full-slide', 'pro-three-slide'].flatMap((id) =>
    (['left', 'right'] as const).map((side) => ({ name: `${id} ${side}`, proof: proof(id, side) })),
  );

  it('names the calls that do it, by whom, and what is left elsewhere; the one short least often first', () => {
    const found = twoOn('N', proved);
    expect(found.length).toBeGreaterThan(0);
    for (const { name, by, short, all, alone: left } of found) {
      const of = proved.find((p) => p.name === name)!.proof;
      expect(of.doubles.find((d) => d.on === 'N')!.by).toEqual(by);
      expect([short, all]).toEqual([of.counts.short, of.counts.all]);
      expect(left).toEqual(of.alone.map((a) => `${a.blocker} on ${a.on}`));
    }
    const shares = found.map((f) => f.short / f.all);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(proved.filter((p) => p.proof.doubles.some((d) => d.on === 'N')).length).toBe(found.length);
  });

  it('is nothing where nobody can', () => {
    expect(twoOn('nobody', proved)).toEqual([]);
    expect(sayTwoOn([])).toBe('no protection in the book puts two men on him.');
  });

  it('is said with what it costs, three at most', () => {
    const one = { name: 'Half slide, right', by: ['C', 'RG'], short: 2, all: 9, alone: ['LT on LE'] };
    expect(sayTwoOn([one, { ...one, alone: [] }])).toBe(
      'Half slide, right (C and RG; short 2 of 9; alone: LT on LE) · Half slide, right (C and RG; short 2 of 9; alone: nobody).',
    );
    expect(sayTwoOn([one, one, one, one]).split(' · ')).toHaveLength(3);
  });

  it.each([
    [null, ''],
    [-3, 'ours'],
    [0, 'even'],
    [1, 'behind'],
    [2, 'needs help'],
    [4, 'needs help'],
  ] as const)('a man behind by %s looks so: %s', (behind, says) => expect(sayMatch(behind)).toBe(says));
});
