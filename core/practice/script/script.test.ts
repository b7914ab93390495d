import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED_PLAYBOOK } from '../../calls/playbook';
import { workCall, type Ways } from '../../calls/resolve-call';
import { gistOf } from '../../compare/gist';
import { lineOf } from '../../model/formation';
import { SCRIPT_KIND_IDS, ScriptSchema, type Script, type ScriptKind } from '../../model/script';
import type { WeekPlan } from '../../model/week-plan';
import { NOTHING_PRACTISED, type Practised } from '../../plan/reps-so-far';
import type { Standing } from '../../plan/standing';
import { need } from '../../testing/need';
import { candidatesFor } from './candidates';
import { makeScript, scriptName } from './make-script';
import { trustOf } from './series';

const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right; FS (0, 30)';
const ODD = 'LE 5 left; N 0; RE 5 right; W 20 left; M 20 right; FS (0, 30)';
const play = (scheme: string, formation: string, times: number, side: 'left' | 'right' = 'right') => ({
  ...{ scheme, side, tags: [], formation, formationName: scheme, times },
});
const PLAN: WeekPlan = {
  quiz: false,
  plays: [
    play('power', 'LT LG C RG RT; H right; B left', 6),
    play('inside-zone-z1', 'LT LG C RG RT; B left', 8),
    play('inside-zone-z1', 'LT LG C RG RT; B right', 4, 'left'),
    play('duo', 'LT LG C RG RT Y right; B left', 4),
    play('pro-half-slide', 'LT LG C RG RT; B; QB pistol', 9),
  ],
  looks: [
    { front: OVER, frontName: 'Over', weight: 20, seen: '' },
    { front: ODD, frontName: 'Odd', weight: 10, seen: '' },
    { front: `${OVER}; T slant left`, frontName: 'Over, slant', weight: 6, seen: '' },
  ],
};
const WAYS: Ways = { playbook: SHIPPED_PLAYBOOK };
const script = (
  kind: ScriptKind,
  reps: number,
  standings: readonly Standing[] = [],
  plan = PLAN,
  practised: Practised = NOTHING_PRACTISED,
) =>
  makeScript({
    ...{ id: 'one', kind, reps, plan, standings, ways: WAYS, practised, order: [2, 0] },
    sayPlay: (p) => `${plan.plays[p]!.scheme} ${plan.plays[p]!.side}`,
  })!;

const timesIn = ({ reps }: Script, scheme: string): number => reps.filter((r) => r.scheme === scheme).length;

describe('a series from the 3', () => {
  const made = () => script('short yardage', 8);
  const mark = (rep: number, good: boolean, missed: string[] = []) => ({ script: 'one', rep, good, missed });

  it('says up to how many of them a call has stood, without a failure below', () => {
    expect(trustOf(made(), [])).toEqual([]);
    const of = (...marks: ReturnType<typeof mark>[]) => trustOf(made(), marks)[0]!;
    expect(of(mark(0, true), mark(1, true), mark(2, true))).toMatchObject({
      stands: 5,
      of: 7,
      good: 3,
      tried: 3,
      lost: [],
    });
    expect(of(mark(0, true), mark(1, false, ['C']), mark(2, true), mark(3, false, ['C', 'RG']))).toMatchObject({
      ...{ stands: 3, of: 7, good: 2, tried: 4, lost: ['C', 'RG'] },
    });
    expect(of(mark(0, false))).toMatchObject({ stands: 0, tried: 1 });
  });

  it('is each call’s own', () => {
    const { reps } = made();
    const second = reps.findIndex((r) => r.scheme !== reps[0]!.scheme || r.side !== reps[0]!.side);
    const found = trustOf(made(), [mark(0, true), mark(second, false)]);
    expect(found.map((t) => [t.rep.scheme, t.stands])).toEqual([
      [reps[0]!.scheme, 3],
      [reps[second]!.scheme, 0],
    ]);
  });
});

describe('a script', () => {
  it('has as many reps as were asked for, of calls that belong in it, and can be kept', () => {
    for (const kind of SCRIPT_KIND_IDS.filter((k) => k !== 'walk-through')) {
      const made = script(kind, 12);
      expect(ScriptSchema.safeParse(made).success).toBe(true);
      expect(made.reps).toHaveLength(12);
      const throws = made.reps.map((r) => r.scheme.startsWith('pro-'));
      if (kind === 'pick-up') expect(throws.every(Boolean)).toBe(true);
      else if (kind !== 'team') expect(throws.some(Boolean)).toBe(false);
    }
    expect(scriptName(script('half line', 1))).toBe('Half line, 1 rep');
    expect(
      makeScript({
        id: 'x',
        kind: 'pick-up',
        reps: 3,
        plan: { ...PLAN, plays: PLAN.plays.slice(0, 1) },
        standings: [],
        ways: WAYS,
        sayPlay: String,
        practised: NOTHING_PRACTISED,
        order: [],
      }),
    ).toBeNull();
  });

  it('from the 3 has one defender more with every rep, those who matter first, call after call', () => {
    const { reps } = script('short yardage', 12);
    expect(reps).toHaveLength(12);
    for (const [i, rep] of reps.slice(1).entries()) {
      const before = reps[i]!;
      const same = before.scheme === rep.scheme && before.side === rep.side;
      expect(rep.bodies.length).toBe(same ? before.bodies.length + 1 : 3);
      if (same) expect(rep.bodies.slice(0, -1)).toEqual(before.bodies);
      expect(rep.bodies.length + rep.cones.length).toBe(7);
    }
  });

  it('takes more often what was missed this week, and says so; what went well and what nobody marked counts for nothing', () => {
    const plain = script('inside run', 8);
    const rare = plain.reps.map((r) => r.scheme).sort((a, b) => timesIn(plain, a) - timesIn(plain, b))[0]!;
    const at = plain.reps.findIndex((r) => r.scheme === rare);
    const marked = (good: boolean): Practised => ({
      scripts: [plain],
      marks: [{ script: 'one', rep: at, good, missed: [] }],
    });
    const after = script('inside run', 8, [], PLAN, marked(false));
    expect(timesIn(after, rare)).toBeGreaterThan(timesIn(plain, rare));
    expect(after.reps.find((r) => r.scheme === rare)!.why).toMatch(/, missed 1 of 1 this week$/);
    expect(script('inside run', 8, [], PLAN, marked(true))).toEqual(plain);
    expect(script('inside run', 8, [], PLAN, { scripts: [plain], marks: [] })).toEqual(plain);
    expect(script('inside run', 8, [], PLAN, { ...marked(false), scripts: [] })).toEqual(plain);
  });

  it('walks every play through three times in the order given, the likeliest looks first, with everybody there', () => {
    const made = script('walk-through', 1);
    // Those that are in the order come first, the others as the plan has them.
    expect(made.reps.map((r) => `${r.scheme} ${r.side}`).filter((_, i) => i % 3 === 0)).toEqual([
      ...['inside-zone-z1 left', 'power right', 'inside-zone-z1 right', 'duo right', 'pro-half-slide right'],
    ]);
    for (const [i, rep] of made.reps.entries()) {
      expect([rep.frontName, rep.cones]).toEqual([['Over', 'Odd', 'Over, slant'][i % 3], []]);
      expect(rep.bodies.length).toBe(rep.frontName === 'Odd' ? 6 : 7);
    }
    const one = script('walk-through', 1, [], { ...PLAN, looks: PLAN.looks.slice(0, 1) });
    expect(one.reps.map((r) => r.frontName)).toEqual(Array(15).fill('Over'));
    // Who stands where he stood has not moved; from an even front to an odd one somebody has.
    expect([one.resets, made.resets > 5]).toEqual([0, true]);
    const many = { ...PLAN, plays: Array.from({ length: 22 }, (_, i) => ({ ...PLAN.plays[1]!, times: i + 1 })) };
    expect(ScriptSchema.safeParse(script('walk-through', 1, [], many)).success).toBe(true);
  });

  it('leaves a play whose puller comes from the other side out of half a line', () => {
    expect(script('half line', 12).reps.some((r) => r.scheme === 'power')).toBe(false);
    expect(script('inside run', 12).reps.some((r) => r.scheme === 'power')).toBe(true);
    for (const c of candidatesFor('half line', PLAN, [], WAYS, NOTHING_PRACTISED)) {
      const { men } = c.worked.formation;
      const sides = c.seats.filter((s) => s !== 'C').map((s) => Math.sign(men.find((m) => m.id === s)!.x));
      expect(new Set(sides)).toEqual(new Set([c.call.side === 'right' ? 1 : -1]));
    }
  });

  it('covers the likeliest first, and says what it leaves uncovered', () => {
    const as = candidatesFor('inside run', PLAN, [], WAYS, NOTHING_PRACTISED).length;
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 14 }), (reps) => {
        const made = script('inside run', reps);
        const pairs = new Set(made.reps.map((r) => `${r.scheme} ${r.side} against ${r.frontName}`));
        expect(made.uncovered.some((u) => pairs.has(u))).toBe(false);
        expect(pairs.size + made.uncovered.length).toBe(as);
      }),
      { numRuns: 6 },
    );
    // With a rep for each of them hardly anything comes twice before the rest has come.
    const distinct = new Set(script('inside run', as).reps.map((r) => `${r.scheme} ${r.side} ${r.frontName}`));
    expect(distinct.size).toBeGreaterThan((2 * as) / 3);
    const likely = { ...PLAN, looks: PLAN.looks.map((l, i) => ({ ...l, weight: i === 1 ? 200 : 1 })) };
    const odd = script('inside run', 4, [], likely).reps.filter((r) => r.frontName === 'Odd');
    expect(odd).toHaveLength(4);
  });

  it('goes where there is more to lose', () => {
    const weak: Standing[] = candidatesFor('inside run', PLAN, [], WAYS, NOTHING_PRACTISED)
      .filter((c) => c.call.scheme === 'duo')
      .flatMap((c) => c.worked.resolution.assignments)
      .map((a) => ({
        ...{
          seat: a.blocker,
          block: a.block,
          times: 1,
          costs: 6,
          kills: [],
          from: [],
          playerId: 1,
          expected: 0.1,
          weight: 1,
        },
        record: { playerId: 1, block: a.block, good: 0, of: 9, faults: [] },
      }));
    const duos = (of: readonly Standing[]): number =>
      script('inside run', 10, of).reps.filter((r) => r.scheme === 'duo').length;
    expect(duos(weak)).toBeGreaterThan(duos([]));
  });

  it('needs no more defenders than change what somebody does, and with those alone everybody does the same', () => {
    for (const kind of ['half line', 'inside run', 'pick-up'] as const) {
      const made = script(kind, 5);
      const all = candidatesFor(kind, PLAN, [], WAYS, NOTHING_PRACTISED);
      for (const rep of made.reps) {
        const full = need(workCall({ ...rep, overrides: {} }, WAYS));
        const seats = all.find((c) => c.call.scheme === rep.scheme && c.call.side === rep.side)!.seats;
        const few = rep.front
          .split('; ')
          .filter((clause) => !rep.cones.includes(clause.split(' ')[0]!))
          .join('; ');
        const part = need(workCall({ ...rep, front: few, overrides: {} }, WAYS));
        for (const seat of seats) {
          const of = (w: typeof full): string => gistOf(w.resolution.assignments.find((a) => a.blocker === seat));
          expect(of(part)).toBe(of(full));
        }
        expect([...rep.bodies, ...rep.cones].sort()).toEqual(full.front.defenders.map((d) => d.id).sort());
      }
    }
    // Nobody of us does anything about a man thirty yards deep.
    for (const rep of script('inside run', 8).reps) expect(rep.cones).toContain('FS');
    const half = script('half line', 8).reps.map((r) => r.bodies.length);
    expect(Math.max(...half)).toBeLessThan(6);
    expect(
      lineOf(need(workCall({ ...script('half line', 1).reps[0]!, overrides: {} }, WAYS)).formation).length,
    ).toBeGreaterThan(3);
  });

  it('is ordered so that the scout team moves no more than in any other order that was tried', () => {
    const made = script('inside run', 12);
    const backwards = [...made.reps].sort((a, b) => (a.scheme < b.scheme ? -1 : 1));
    const changes = (reps: typeof made.reps): number =>
      reps.slice(1).filter((r, i) => r.frontName !== reps[i]!.frontName).length;
    expect(changes(made.reps)).toBeLessThanOrEqual(changes(backwards));
    expect(changes(made.reps)).toBe(new Set(made.reps.map((r) => r.frontName)).size - 1);
  });
});
