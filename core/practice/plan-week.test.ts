import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED_PLAYBOOK } from '../calls/playbook';
import { CONTACT_IDS, GEARS, HOUSE_RULE_IDS, isContact, isWornFor, THEIR_WAYS, type Drill } from '../model/drill';
import {
  PracticeWaysSchema,
  PracticeWeekSchema,
  THEME_IDS,
  THEMES,
  withMen,
  type PracticeDay,
  type PracticeWays,
  type Station,
} from '../model/practice';
import type { Standing } from '../plan/standing';
import { throughput } from './bodies';
import { practising, type Practising } from './men';
import { pairOff } from './pair-off';
import { planWeek, type WeekToPlan } from './plan-week';

const DRILLS = SHIPPED_PLAYBOOK.drills();
const drillOf = (id: string): Drill => DRILLS.find((d) => d.id === id)!;
const SEATS = ['LT', 'LG', 'C', 'RG', 'RT', 'Y'];
const man = (i: number, here: Practising['here'] = 'here', weight: number | null = null): Practising =>
  practising({ id: i + 1, seat: SEATS[i] ?? '', seats: [SEATS[i % 6]!, SEATS[(i + 1) % 6]!], weight }, here);
/** Men who play one place each. */
const single = SEATS.map((seat, i) => practising({ id: i + 1, seat, seats: [], weight: null }, 'here'));
const line = (n: number): Practising[] => Array.from({ length: n }, (_, i) => man(i));

const standing = (
  playerId: number,
  seat: string,
  block: string,
  weight: number,
  more: Partial<Standing> = {},
): Standing => ({
  ...{ playerId, seat, block, weight, times: 10, costs: 1, kills: [], from: [], expected: 0.7 },
  record: { playerId, block, good: 7, of: 10, faults: [] },
  ...more,
});
const STANDINGS: Standing[] = [
  ...SEATS.flatMap((seat, i) => [standing(i + 1, seat, 'double', 3), standing(i + 1, seat, 'man', 2)]),
  standing(4, 'RG', 'down', 6),
  standing(2, 'LG', 'pull-kick', 5),
  standing(1, 'LT', 'cutoff', 4),
  standing(5, 'RT', 'reach', 3),
  standing(6, 'Y', 'climb', 2),
];
const WAYS = PracticeWaysSchema.parse({ contactADay: 15, contactAWeek: 30 });
const day = (date: string, more: Partial<PracticeDay> = {}): PracticeDay => ({
  ...{ day: date, theme: 'foundations', minutes: 30, gear: 'full gear', begins: null, lines: [] },
  ...more,
});
const WEEK: WeekToPlan = {
  days: [
    day('2026-11-24'),
    day('2026-11-25', { theme: 'movement' }),
    day('2026-11-26', { theme: 'light', gear: 'helmets' }),
  ],
  men: () => line(12),
  standings: STANDINGS,
  theirs: new Set(),
  drills: DRILLS,
  ways: WAYS,
  level: 'adult',
};
const drillsOn = ({ lines }: PracticeDay): Drill[] => lines.flatMap((l) => l.stations.map((s) => drillOf(s.drill)));
/** Minutes in which a man meets somebody. */
const contactOf = (days: readonly PracticeDay[], id: number): number =>
  days
    .flatMap((d) => d.lines)
    .flatMap((l) => l.stations.map((s) => ({ ...s, minutes: l.minutes })))
    .filter((s) => s.men.includes(id) && isContact(drillOf(s.drill).contact))
    .reduce((sum, s) => sum + s.minutes, 0);

const anyWays = fc.record({
  contactADay: fc.option(fc.nat(40)),
  contactAWeek: fc.option(fc.nat(80)),
  restEvery: fc.option(fc.integer({ min: 5, max: 40 })),
  restFor: fc.integer({ min: 1, max: 6 }),
  foundations: fc.double({ min: 0.4, max: 1, noNaN: true }),
  coaches: fc.integer({ min: 1, max: 4 }),
  matchWithin: fc.option(fc.nat(60)),
  house: fc.record(
    Object.fromEntries(HOUSE_RULE_IDS.map((h) => [h, fc.boolean()])) as Record<
      (typeof HOUSE_RULE_IDS)[number],
      fc.Arbitrary<boolean>
    >,
  ),
});
const anyDay = (i: number) =>
  fc.record({
    day: fc.constant(`2026-11-${23 + i}`),
    theme: fc.constantFrom(...THEME_IDS),
    minutes: fc.integer({ min: 5, max: 90 }),
    gear: fc.constantFrom(...GEARS),
    begins: fc.constant(null),
    lines: fc.constant([]),
  });
/** A week in small, as a counterexample is read; `weekOf` makes the whole of it. */
const anyWeek = fc.record({
  days: fc.integer({ min: 1, max: 5 }).chain((n) => fc.tuple(...Array.from({ length: n }, (_, i) => anyDay(i)))),
  here: fc.array(
    fc.tuple(fc.constantFrom('here', 'here', 'here', 'limited', 'away'), fc.option(fc.integer({ min: 180, max: 320 }))),
    { maxLength: 24 },
  ),
  ways: anyWays,
  theirs: fc.subarray([...THEIR_WAYS]),
  level: fc.constantFrom('youth', 'school', 'adult'),
  asked: fc.subarray(STANDINGS.map((_, i) => i)),
});
type Small = typeof anyWeek extends fc.Arbitrary<infer T> ? T : never;
function weekOf({ here, theirs, ways, asked, days, level }: Small): WeekToPlan & { here: Practising[] } {
  const men = here.map(([is, weight], i) => man(i, is as Practising['here'], weight));
  return {
    ...{
      days: days.map((d) => ({ ...d, lines: [] })),
      ways: ways as PracticeWays,
      level: level as WeekToPlan['level'],
      here: men,
    },
    ...{ men: () => men, theirs: new Set(theirs), drills: DRILLS, standings: asked.map((i) => STANDINGS[i]!) },
  };
}

describe('no plan, whatever the week', () => {
  it('exceeds a limit, or puts a man where he is not or may not be', () => {
    fc.assert(
      fc.property(anyWeek, (small) => {
        const week = weekOf(small);
        const { days } = planWeek(week);
        expect(PracticeWeekSchema.safeParse({ days }).success).toBe(true);
        const { contactADay, contactAWeek, house, coaches, matchWithin } = week.ways;
        const may = contactADay === null || contactAWeek === null ? 0 : Infinity;
        for (const { playerId } of week.here) {
          expect(contactOf(days, playerId)).toBeLessThanOrEqual(Math.min(may, contactAWeek ?? 0));
          for (const d of days) expect(contactOf([d], playerId)).toBeLessThanOrEqual(Math.min(may, contactADay ?? 0));
        }
        for (const d of days) {
          const sum = d.lines.reduce((all, l) => all + l.minutes, 0);
          expect(sum).toBeLessThanOrEqual(d.minutes);
          for (const { stations } of d.lines) {
            const busy = stations.flatMap((s) => s.men);
            expect(new Set(busy).size).toBe(busy.length);
            for (const s of stations) {
              const drill = drillOf(s.drill);
              expect(isWornFor(d.gear, drill.contact)).toBe(true);
              expect(CONTACT_IDS.indexOf(drill.contact)).toBeLessThanOrEqual(
                CONTACT_IDS.indexOf(THEMES[d.theme].contact),
              );
              if (drill.house !== 'none') expect(house[drill.house]).toBe(true);
              if (drill.house === 'chute') expect(drill.atOnce).toBe(1);
              if (drill.pairs && matchWithin !== null) {
                const weight = (id: number): number => week.here.find((m) => m.playerId === id)!.weight!;
                expect(s.pairs.flat().sort()).toEqual([...s.men].sort());
                for (const [a, b] of s.pairs) expect(Math.abs(weight(a) - weight(b))).toBeLessThanOrEqual(matchWithin);
              }
              for (const id of s.men) {
                const { here } = week.here.find((m) => m.playerId === id)!;
                expect(here).not.toBe('away');
                if (here === 'limited') expect(drill.contact).toBe('none');
              }
            }
            const watched = stations.filter((s) => drillOf(s.drill).watched || isContact(drillOf(s.drill).contact));
            expect(watched.length).toBeLessThanOrEqual(Math.max(1, coaches));
          }
        }
      }),
      { numRuns: 150 },
    );
  });

  it('leaves time over without saying so', () => {
    fc.assert(
      fc.property(anyWeek, (small) => {
        const { days, told } = planWeek(weekOf(small));
        for (const d of days) {
          const left = d.minutes - d.lines.reduce((all, l) => all + l.minutes, 0);
          if (left > 0) expect(told.some((t) => t.includes(d.day))).toBe(true);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('is another one when it is asked for again', () => {
    fc.assert(
      fc.property(anyWeek, (small) => {
        expect(planWeek(weekOf(small))).toEqual(planWeek(weekOf(small)));
      }),
      { numRuns: 25 },
    );
  });
});

describe('a week', () => {
  const { days } = planWeek(WEEK);

  it('begins every day the same, and has doubles and sets on every day', () => {
    const openings = days.map((d) =>
      drillsOn(d)
        .filter((x) => x.daily === 'opening')
        .map((x) => x.id),
    );
    expect(new Set(openings.map(String)).size).toBe(1);
    expect(openings[0]!.length).toBeGreaterThan(0);
    for (const d of days)
      for (const daily of ['doubles', 'sets'] as const) expect(drillsOn(d).some((x) => x.daily === daily)).toBe(true);
  });

  it('has twists on every day while they come, and on none they do not', () => {
    const twists = (theirs: WeekToPlan['theirs']): number[] =>
      planWeek({ ...WEEK, theirs }).days.map((d) => drillsOn(d).filter((x) => x.daily === 'twists').length);
    expect(twists(new Set(['twist']))).toEqual([1, 1, 1]);
    expect(twists(new Set())).toEqual([0, 0, 0]);
  });

  it('has most of the everyday drills in it when there is time', () => {
    // Also where everything speaks for something else: one block that is dear beyond all others, on days for it.
    const dear = STANDINGS.map((x) => (x.block === 'man' ? { ...x, weight: 500 } : x));
    const wide = planWeek({
      ...{ ...WEEK, standings: dear },
      days: WEEK.days.map((d) => ({ ...d, theme: 'protection' as const, gear: 'full gear' as const, minutes: 50 })),
    }).days;
    const asked = new Set(STANDINGS.map((s) => s.block));
    const everyday = DRILLS.filter(
      (d) => d.kind === 'everyday' && (d.blocks.length === 0 || d.blocks.some((b) => asked.has(b))),
    );
    const used = new Set(wide.flatMap(drillsOn).map((d) => d.id));
    expect(everyday.filter((d) => used.has(d.id)).length).toBeGreaterThan(everyday.length / 2);
  });

  it('gives this opponent no more than his share, however little else there is to do', () => {
    const few = ['stance-press', 'short-steps', 'slant-answer', 'run-through', 'slide-gaps'].map(drillOf);
    const theirMinutes = (foundations: number): number =>
      planWeek({ ...WEEK, drills: few, theirs: new Set(['slant', 'blitz']), ways: { ...WAYS, foundations } })
        .days.flatMap((d) => d.lines)
        .filter((l) => l.stations[0] && drillOf(l.stations[0].drill).answers.length > 0)
        .reduce((sum, l) => sum + l.minutes, 0);
    expect(theirMinutes(1)).toBe(0);
    for (const foundations of [0.9, 0.8, 0.6]) {
      const minutes = theirMinutes(foundations);
      expect(minutes).toBeLessThanOrEqual((1 - foundations) * 90 + 1e-9);
      expect(minutes).toBeGreaterThan(0);
    }
    expect(theirMinutes(0.4)).toBeGreaterThan(theirMinutes(0.9));
  });

  it('leans to what a day is for', () => {
    const minutesOf = (theme: PracticeDay['theme'], of: readonly string[]): number =>
      planWeek({ ...WEEK, days: [day('2026-11-24', { theme, minutes: 45 })] })
        .days[0]!.lines.filter((l) => l.stations[0] && drillOf(l.stations[0].drill).blocks.some((b) => of.includes(b)))
        .reduce((sum, l) => sum + l.minutes, 0);
    for (const theme of ['movement', 'second level', 'protection'] as const)
      expect(minutesOf(theme, THEMES[theme].blocks)).toBeGreaterThan(minutesOf('foundations', THEMES[theme].blocks));
  });

  it('goes after what has most to lose: who is weak at something much asked gets more of it', () => {
    const minutesOf = (standings: readonly Standing[], block: string): number =>
      planWeek({ ...WEEK, standings })
        .days.flatMap((d) => d.lines)
        .filter((l) => l.stations[0] && drillOf(l.stations[0].drill).blocks.includes(block))
        .reduce((sum, l) => sum + l.minutes, 0);
    for (const block of ['down', 'pull-kick', 'reach']) {
      const heavy = STANDINGS.map((s) => (s.block === block ? { ...s, weight: 60 } : s));
      const light = STANDINGS.map((s) => (s.block === block ? { ...s, weight: 0.01 } : s));
      expect(minutesOf(heavy, block)).toBeGreaterThan(minutesOf(light, block));
    }
  });

  it('says of every line why, and of a need who, how often and how he stands', () => {
    for (const l of days.flatMap((d) => d.lines)) for (const s of l.stations) expect(s.why.length).toBeGreaterThan(10);
    const whys = days.flatMap((d) => d.lines).flatMap((l) => l.stations.map((s) => s.why));
    expect(whys.some((w) => /^RG down: asked 10 times, 7 of 10 good, \d+ more reps\.$/.test(w))).toBe(true);
    expect(whys).toContain('The same opening every day.');
  });

  it('lets the centre snap whenever the others do what is not for him', () => {
    const pulls = STANDINGS.map((s) => (s.block === 'pull-kick' ? { ...s, weight: 60 } : s));
    const alone = planWeek({ ...WEEK, men: () => single, standings: pulls })
      .days.flatMap((d) => d.lines)
      .filter((l) => l.stations.some((s) => drillOf(s.drill).kind === 'exchange'));
    for (const l of alone) {
      const [main, ...beside] = l.stations;
      const exchange = beside.find((s) => drillOf(s.drill).kind === 'exchange')!;
      expect(exchange.men.some((id) => main!.men.includes(id))).toBe(false);
    }
    expect(alone.length).toBeGreaterThan(0);
  });

  it('has the quarterback take those snaps, by name and nowhere else, and he is away when he is away', () => {
    const pulls = STANDINGS.map((s) => (s.block === 'pull-kick' ? { ...s, weight: 60 } : s));
    const passer = practising({ id: 30, seat: 'QB', seats: [], weight: null }, 'here');
    const linesWith = (men: readonly Practising[]): Station[] =>
      planWeek({ ...WEEK, men: () => men, standings: pulls }).days.flatMap((d) => d.lines.flatMap((l) => l.stations));
    const isExchange = (s: Station): boolean => drillOf(s.drill).kind === 'exchange';
    const named = linesWith([...single, passer]);
    expect(named.filter((s) => s.men.includes(30))).toEqual(named.filter(isExchange));
    expect(named.filter(isExchange).map((s) => s.men)).toContainEqual([3, 30]);
    const unnamed = linesWith(single).filter(isExchange);
    expect(named.filter(isExchange).map((s) => [s.drill, s.reps, s.waits])).toEqual(
      unnamed.map((s) => [s.drill, s.reps, s.waits]),
    );
    expect(linesWith([...single, { ...passer, here: 'away' }]).some((s) => s.men.includes(30))).toBe(false);
    // Who plays on the line as well is with the line.
    const both = single.map((m) => (m.seat === 'Y' ? { ...m, takesSnaps: true } : m));
    expect(
      linesWith(both)
        .filter(isExchange)
        .every((s) => !s.men.includes(6)),
    ).toBe(true);
    // Three snap and one takes: two of them wait.
    const centres = [21, 22, 23].map((id) => practising({ id, seat: 'C', seats: [], weight: null }, 'here'));
    const waiting = linesWith([...single.filter((m) => m.seat !== 'C'), ...centres, passer]).find(isExchange)!;
    expect(waiting.waits).toBeCloseTo(0.5, 6);
  });

  it('keeps what the coach has set, and plans around it', () => {
    const held = {
      id: 'mine',
      minutes: 15,
      held: true,
      stations: [{ drill: 'sled-strike', men: [1, 2], reps: 10, waits: 0, why: 'Mine.', pairs: [] }],
    };
    const [first] = planWeek({ ...WEEK, days: [day('2026-11-24', { lines: [held] })] }).days;
    expect(first!.lines[0]).toEqual(held);
    expect(first!.lines.reduce((sum, l) => sum + l.minutes, 0)).toBe(30);
    expect(first!.lines.slice(1).flatMap((l) => l.stations.map((s) => s.drill))).not.toContain('sled-strike');
  });

  it('gives every line an id of its own, also beside those that are held from a plan before', () => {
    const first = planWeek(WEEK).days;
    const holding = first.map((d) => ({ ...d, lines: d.lines.map((l, i) => ({ ...l, held: i % 2 === 1 })) }));
    for (const { lines } of planWeek({ ...WEEK, days: holding }).days)
      expect(new Set(lines.map((l) => l.id)).size).toBe(lines.length);
    const all = planWeek({ ...WEEK, days: holding }).days.flatMap((d) => d.lines.map((l) => l.id));
    expect(new Set(all).size).toBe(all.length);
  });

  it('plans no contact while nobody has entered how much there may be, and tells who is missing', () => {
    const ways = PracticeWaysSchema.parse({});
    const planned = planWeek({ ...WEEK, ways }).days;
    expect(planned.flatMap(drillsOn).some((d) => isContact(d.contact))).toBe(false);
    expect(planWeek({ ...WEEK, men: () => [] }).told).toEqual([
      'Nobody of the line is there on 2026-11-24.',
      'Nobody of the line is there on 2026-11-25.',
      'Nobody of the line is there on 2026-11-26.',
    ]);
  });

  it('breaks for water as often as was entered', () => {
    const [first] = planWeek({
      ...WEEK,
      days: [day('2026-11-24', { minutes: 60 })],
      ways: { ...WAYS, restEvery: 15, restFor: 4 },
    }).days;
    const breaks = first!.lines.filter((l) => l.stations.length === 0);
    expect(breaks.length).toBeGreaterThanOrEqual(2);
    expect(breaks.every((l) => l.minutes === 4)).toBe(true);
  });

  it('stands under other numbers in another program, without whom nobody knows there', () => {
    const moved = withMen({ days: [...days] }, (id) => (id === 1 ? null : id + 100));
    const before = days.flatMap((d) => d.lines.flatMap((l) => l.stations.flatMap((s) => s.men)));
    const after = moved.days.flatMap((d) => d.lines.flatMap((l) => l.stations.flatMap((s) => s.men)));
    expect(after).toEqual(before.filter((id) => id !== 1).map((id) => id + 100));
  });
});

describe('bodies', () => {
  it('get as many reps as there are groups at work, and stand for the rest', () => {
    const drill = { each: 2, extras: 1, atOnce: 2, pace: 3 };
    expect(throughput(drill, 2)).toEqual({ groups: 0, repsPerMinute: 0, waits: 1 });
    expect(throughput(drill, 6)).toEqual({ groups: 2, repsPerMinute: 2, waits: 0 });
    expect(throughput(drill, 12)).toEqual({ groups: 2, repsPerMinute: 1, waits: 0.5 });
    expect(throughput({ ...drill, atOnce: null }, 12)).toMatchObject({ groups: 4, waits: 0 });
  });

  it('are matched by weight or not at all where there is a limit', () => {
    const men = [250, 180, 245, 310, 190, null].map((weight, i) => man(i, 'here', weight));
    expect(pairOff(men, 10).pairs).toEqual([
      [2, 5],
      [3, 1],
    ]);
    expect(pairOff(men, 10).men.map((m) => m.playerId)).toEqual([2, 5, 3, 1]);
    expect(pairOff(men, 0)).toEqual({ men: [], pairs: [] });
    expect(pairOff(men, null).men).toHaveLength(6);
  });
});
