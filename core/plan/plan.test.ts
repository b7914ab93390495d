import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { BlockRecord } from '../model/block-record';
import { SHIPPED_CALL_WORDS } from '../model/call-words';
import { SHIPPED_SETTINGS } from '../model/settings';
import { sharesOf, WeekPlanSchema, type WeekPlan } from '../model/week-plan';
import { resolveCall } from '../calls/resolve-call';
import { need } from '../testing/need';
import { demandOf, soundShares } from './demand';
import { loadBearing } from './losses';
import { sayNumber, sayTimes } from './say-number';
import { numberOf, standingsOf, type Standing } from './standing';
import { callsOf, workPlan, type PlanAnswer, type PlanCell } from './work-plan';

const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';
const ODD = 'LE 5 left; N 0; RE 5 right; W 20 left; M 20 right';
const play = (scheme: string, formation: string, times: number, side: 'left' | 'right' = 'right') => ({
  ...{ scheme, side, tags: [], formation, formationName: scheme, times },
});
const PLAN: WeekPlan = WeekPlanSchema.parse({
  plays: [
    play('power', 'LT LG C RG RT; H right; B left', 6),
    play('inside-zone-z1', 'LT LG C RG RT; B left', 10),
    play('pro-five-back', 'LT LG C RG RT; B; QB pistol', 8),
    play('no-such-play', 'LT LG C RG RT; B left', 2),
  ],
  looks: [
    { front: OVER, frontName: 'Over', weight: 22 },
    { front: ODD, frontName: 'Odd', weight: 3 },
    { front: `${OVER}; T slant left`, frontName: 'Over, slant', weight: 5 },
  ],
});
const work = (plan: WeekPlan): { answers: PlanAnswer[]; cells: PlanCell[] } => {
  const calls = callsOf(plan);
  const job = { own: [], settings: SHIPPED_SETTINGS, words: SHIPPED_CALL_WORDS, calls: calls.map((c) => c.call) };
  const answers = [...workPlan(job)];
  const cells = answers.flatMap((a) => {
    if (a.kind !== 'cell') return [];
    const lost = answers.find((l) => l.kind === 'losses' && l.call === a.call);
    const { play: at, look } = calls[a.call]!;
    return [{ ...a, play: at, look, losses: lost?.kind === 'losses' ? lost.losses : null }];
  });
  return { answers, cells };
};
const { answers: ANSWERS, cells } = work(PLAN);

describe('a plan worked out', () => {
  it('is every play against every look, as the engine answers it, and says what it cannot read', () => {
    expect(cells.map((c) => [c.play, c.look])).toEqual([0, 1, 2].flatMap((p) => [0, 1, 2].map((l) => [p, l])));
    expect(cells.every((c) => c.losses !== null)).toBe(true);
    const gaps = ANSWERS.filter((a) => a.kind === 'gap');
    expect(gaps.map((g) => g.problem)).toEqual(
      Array.from({ length: 3 }, () => expect.stringContaining('no-such-play')),
    );
    const { times: _, ...called } = PLAN.plays[0]!;
    const resolution = need(resolveCall({ ...called, front: OVER, frontName: 'Over', overrides: {} }));
    expect(cells[0]).toMatchObject({ verdict: resolution.verdict });
    expect(cells[0]!.asked.map((a) => `${a.seat} ${a.block} ${a.target}`)).toEqual(
      resolution.assignments.map((a) => `${a.blocker} ${a.block} ${a.target}`),
    );
  });

  it('says of every man with a man what his lost block costs, and hangs the play on the dearest that kills it', () => {
    for (const { asked, losses } of cells) {
      const found = losses!;
      const hands = asked.filter((a) => a.target !== null && a.block !== 'read' && a.block !== 'leave');
      expect(found.map((l) => l.blocker)).toEqual(hands.map((a) => a.seat));
      expect(found.every((l) => l.costs >= 0)).toBe(true);
      const bearing = loadBearing(found);
      for (const l of found) if (l.kills) expect(bearing!.costs).toBeGreaterThanOrEqual(l.costs);
      expect(bearing === null).toBe(found.every((l) => !l.kills));
    }
    // Power to the right lives by its front side; the hinge on the back side may be lost.
    const power = cells.find((l) => l.play === 0 && l.look === 0)!.losses!;
    expect(power.filter((l) => l.kills).map((l) => l.blocker)).toEqual(expect.arrayContaining(['C', 'RG', 'H']));
    expect(power.find((l) => l.blocker === 'LT')).toMatchObject({ kills: false });
  });
});

describe('demand', () => {
  it('is calls times shares: together as often as he blocks somebody', () => {
    const shares = sharesOf(PLAN.looks);
    const demands = demandOf(PLAN, cells);
    for (const seat of ['LT', 'C', 'RT', 'H', 'B']) {
      const blocks = cells
        .filter((c) => c.asked.some((a) => a.seat === seat && a.target !== null))
        .reduce((sum, c) => sum + PLAN.plays[c.play]!.times * shares[c.look]!, 0);
      const asked = demands.filter((d) => d.seat === seat).reduce((sum, d) => sum + d.times, 0);
      expect(asked).toBeCloseTo(blocks, 9);
    }
    for (const d of demands) {
      const lost = cells.reduce((sum, c) => {
        const asked = c.asked.some((a) => a.seat === d.seat && a.block === d.block && a.target !== null);
        const costs = c.losses!.find((l) => l.blocker === d.seat)?.costs ?? 0;
        return sum + (asked ? PLAN.plays[c.play]!.times * shares[c.look]! * costs : 0);
      }, 0);
      expect(d.costs).toBeCloseTo(lost / d.times, 9);
    }
    for (const d of demands) expect(d.from.reduce((sum, f) => sum + f.times, 0)).toBeCloseTo(d.times, 9);
  });

  it('asks for the same whatever the weights are called, and for nothing more when a look is split in two', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.1, max: 20, noNaN: true }), (by) => {
        const scaled = { ...PLAN, looks: PLAN.looks.map((l) => ({ ...l, weight: l.weight * by })) };
        for (const [i, d] of demandOf(scaled, cells).entries())
          expect(d.times).toBeCloseTo(demandOf(PLAN, cells)[i]!.times, 6);
      }),
      { numRuns: 20 },
    );
    const [over, ...others] = PLAN.looks;
    const half = { ...over!, weight: over!.weight / 2 };
    const split: WeekPlan = { ...PLAN, looks: [half, half, ...others] };
    const both = (plan: WeekPlan): Record<string, number> => {
      return Object.fromEntries(
        demandOf(plan, work(plan).cells).map((d) => [`${d.seat} ${d.block}`, Math.round(1e6 * d.times)]),
      );
    };
    expect(both(split)).toEqual(both(PLAN));
  });

  it('knows how much of the game each play is sound against', () => {
    const shares = soundShares(PLAN, cells);
    expect(shares[3]).toBeNull();
    for (const [i, share] of shares.slice(0, 3).entries()) {
      const looks = cells.filter((c) => c.play === i && c.verdict === 'sound').map((c) => c.look);
      expect(share).toBeCloseTo(
        looks.reduce((sum, l) => sum + sharesOf(PLAN.looks)[l]!, 0),
        9,
      );
    }
  });
});

describe('how men stand to it', () => {
  const demands = demandOf(PLAN, cells);
  const record = (playerId: number, block: string, good: number, of: number): BlockRecord => ({
    ...{ playerId, block, good, of, faults: [] },
  });
  const who = (seat: string): number | null => ({ LT: 1, LG: 2, C: 3, RG: 4, RT: 5 })[seat] ?? null;
  const of = (standings: readonly Standing[], id: number, block: string): Standing =>
    standings.find((s) => s.playerId === id && s.block === block)!;

  it('weighs what is asked, how likely it is lost and what that costs; nobody at a place, nothing to weigh', () => {
    const standings = standingsOf(demands, [], who);
    expect(standings.some((s) => s.seat === 'B')).toBe(false);
    expect(standings.map((s) => s.weight)).toEqual([...standings.map((s) => s.weight)].sort((a, b) => b - a));
    for (const s of standings) expect(s.weight).toBeCloseTo(s.times * (1 - s.expected) * Math.max(0.5, s.costs), 9);
  });

  it('grows with every miss and shrinks with every good one, whoever else there is', () => {
    const [first] = standingsOf(demands, [], who);
    const { playerId, block } = first!;
    const weight = (good: number, all: number): number =>
      of(standingsOf(demands, [record(playerId, block, good, all), record(9, block, 30, 40)], who), playerId, block)
        .weight;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), fc.nat(39), (all, at) => {
        const good = Math.min(at, all - 1);
        expect(weight(good, all)).toBeGreaterThan(weight(good + 1, all));
        expect(weight(good, all + 1)).toBeGreaterThan(weight(good, all));
      }),
      { numRuns: 60 },
    );
  });

  it('says a man’s week in one sentence', () => {
    const standings = standingsOf(demands, [record(4, 'double', 8, 13)], who);
    const number = numberOf(standings, 'RG')!;
    expect(standings.filter((s) => s.seat === 'RG').every((s) => s.weight <= number.weight)).toBe(true);
    expect(numberOf(standings, 'B')).toBeNull();
    const say = (part: Partial<Standing>): string =>
      sayNumber(
        { ...number, block: 'down', times: 14.2, record: record(4, 'down', 8, 13), ...part },
        (p) => ['Power', 'Zone', 'Pass'][p]!,
      );
    expect(say({ kills: [0] })).toBe('Down: asked about 14 times, 8 of 13 good. With it dies Power.');
    expect(say({ kills: [0, 1, 2] })).toBe(
      'Down: asked about 14 times, 8 of 13 good. With it die Power; Zone; 1 more.',
    );
    expect(say({ kills: [], costs: 2.04 })).toBe(
      'Down: asked about 14 times, 8 of 13 good. A lost one costs 2.0 yards.',
    );
    expect(say({ kills: [], costs: 0, record: record(4, 'down', 0, 0) })).toBe(
      'Down: asked about 14 times, never graded at it.',
    );
    expect([0.3, 1, 2.2, 7.6].map(sayTimes)).toEqual(['perhaps once', 'about once', 'about twice', 'about 8 times']);
  });
});

describe('what a plan may be', () => {
  it.each([
    ['no time', { plays: [{ ...PLAN.plays[0]!, times: 0 }], looks: [] }, 'at least once'],
    ['a weight of nothing', { plays: [], looks: [{ front: OVER, frontName: 'x', weight: 0 }] }, 'more than nothing'],
    ['too many plays', { plays: Array.from({ length: 41 }, () => PLAN.plays[0]!), looks: [] }, 'at most 40 plays'],
  ])('not %s', (_what, body, says) => {
    const read = WeekPlanSchema.safeParse(body);
    expect(read.success ? '' : read.error.issues[0]!.message).toBe(says);
  });
});
