import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED_PLAYBOOK } from '../calls/playbook';
import type { Ways } from '../calls/resolve-call';
import { gistOf } from '../compare/gist';
import { LogEntrySchema } from '../model/game';
import { NightSnapSchema, type NightSnap } from '../model/night';
import type { Call } from '../model/snap';
import { halftimeSheet } from '../paper/halftime-sheet';
import { A_CALL } from '../testing/a-call';
import { asLog } from './as-log';
import { changedMen } from './changed-men';
import { soundNow, summaryOf, theirWins } from './summary';

const WAYS: Ways = { playbook: SHIPPED_PLAYBOOK };
const look = (frontName: string, weight: number) => ({ front: A_CALL.front, frontName, weight, seen: '' });
const PLAN = { looks: [look('Over', 8), look('Odd', 2)] };
const snap = (number: number, frontName: string, lost: string[] = [], more: Partial<Call> = {}): NightSnap =>
  NightSnapSchema.parse({
    ...{ id: '00000000-0000-4000-8000-000000000000', number, series: 1, lost, at: '2026-11-28T19:00:00.000Z' },
    call: { ...A_CALL, frontName, ...more },
  });

describe('a game so far', () => {
  it('adds up to its snaps, whatever came', () => {
    const any = fc.record({
      front: fc.constantFrom('Over', 'Odd', 'Bear'),
      lost: fc.subarray(['LT', 'C', 'RG']),
      scheme: fc.constantFrom('power', 'duo'),
    });
    fc.assert(
      fc.property(fc.array(any, { maxLength: 40 }), (game) => {
        const snaps = game.map((g, i) => snap(i + 1, g.front, g.lost, { scheme: g.scheme }));
        const { looks, calls, lost, snaps: n } = summaryOf(snaps, PLAN);
        const sum = (of: readonly number[]): number => of.reduce((a, b) => a + b, 0);
        expect([n, sum(looks.map((l) => l.seen.good)), sum(calls.map((c) => c.clean.of))]).toEqual([
          game.length,
          game.length,
          game.length,
        ]);
        expect(sum(lost.map((l) => l.times))).toBe(sum(game.map((g) => g.lost.length)));
        expect(sum(calls.map((c) => c.clean.good))).toBe(game.filter((g) => g.lost.length === 0).length);
      }),
    );
  });

  it('says otherwise only where the counts bear it', () => {
    const of = (over: number, odd: number, bear = 0) =>
      Object.fromEntries(
        summaryOf(
          [...Array(over).fill('Over'), ...Array(odd).fill('Odd'), ...Array(bear).fill('Bear')].map((f, i) =>
            snap(i + 1, f as string),
          ),
          PLAN,
        ).looks.map((l) => [l.frontName, l.otherwise]),
      );
    expect(of(1, 2)).toEqual({ Odd: false, Over: false });
    expect(of(8, 2)).toEqual({ Over: false, Odd: false });
    expect(of(4, 16)).toEqual({ Odd: true, Over: true });
    expect(of(16, 3, 5)).toMatchObject({ Bear: true });
    expect(summaryOf([], PLAN).looks.map((l) => [l.frontName, l.expected, l.seen.share])).toEqual([
      ['Over', 0.8, null],
      ['Odd', 0.2, null],
    ]);
  });

  it('says who of theirs wins by whom each man had when he lost', () => {
    const had = (call: Call, seat: string) => (seat === 'B' ? null : `${call.frontName} ${seat}`);
    const snaps = [snap(1, 'Over', ['C', 'LT']), snap(2, 'Odd', ['C']), snap(3, 'Over', ['C', 'B']), snap(4, 'Over')];
    expect(theirWins(snaps, had)).toEqual([
      { defender: 'Over C', times: 2, against: ['C'] },
      { defender: 'Odd C', times: 1, against: ['C'] },
      { defender: 'Over LT', times: 1, against: ['LT'] },
    ]);
  });

  it('puts first what holds against most of what they have really shown', () => {
    const { scheme, side, tags, formation, formationName } = A_CALL;
    const play = { scheme, side, tags: [...tags], formation, formationName, times: 4 };
    const plan = { ...PLAN, plays: [play, { ...play, scheme: 'duo' }, { ...play, scheme: 'iso' }] };
    const cells = [
      { play: 0, look: 0, verdict: 'sound' },
      { play: 0, look: 1, verdict: 'broken' },
      { play: 1, look: 0, verdict: 'at risk' },
      { play: 1, look: 1, verdict: 'sound' },
    ];
    const shown = [...Array<string>(5).fill('Odd'), 'Over', 'Bear'].map((front, i) => snap(i + 1, front));
    // Nobody has worked out the third against anything, nor anybody against what was not expected.
    expect(
      soundNow(plan, cells, shown).map(({ play: at, sound }) => [at, sound.good, sound.of, sound.unknown]),
    ).toEqual([
      [1, 5, 6, 1],
      [0, 1, 6, 1],
    ]);
    expect(soundNow(plan, cells, [])).toEqual([]);
  });

  it('is a sheet for halftime', () => {
    const sheet = halftimeSheet(summaryOf([snap(1, 'Over', ['C']), snap(2, 'Bear')], PLAN), {
      ...{ title: 'Week 6', stamp: 's', sayPlay: (scheme: string, side: string) => `${scheme} ${side}` },
      signs: [],
      wins: [{ defender: 'RE', times: 2, against: ['RT'] }],
      sound: [{ play: 'duo right', good: 1, of: 2 }],
    });
    const [looks, calls, lost] = sheet.parts.filter((p) => p.kind === 'table');
    expect(looks!.rows.map((r) => r.slice(0, 3))).toEqual([
      ['Over', '80 %', '1 of 2'],
      ['Bear', 'not expected', '1 of 2'],
      ['Odd', '20 %', '0 of 2'],
    ]);
    expect(calls!.rows).toEqual([[`${A_CALL.scheme} ${A_CALL.side}`, '2', '1']]);
    expect(lost!.rows).toEqual([[{ strong: 'C' }, '1', 'Over']]);
  });
});

describe('tapped snaps in the log', () => {
  it('take no number that is there, and can be kept', () => {
    const entries = asLog([snap(1, 'Over', ['C']), snap(2, 'Odd'), snap(3, 'Over')], new Set([2]));
    expect(entries.map((e) => [e.number, e.logged.said])).toEqual([
      [1, 'Lost at the game: C'],
      [3, ''],
    ]);
    for (const e of entries) expect(LogEntrySchema.safeParse(e).success).toBe(true);
  });
});

describe('another picture', () => {
  it('changes nothing for nobody when it is the same, and names exactly who does something else', () => {
    const same = changedMen(A_CALL, A_CALL, WAYS)!;
    expect(same.men).toEqual([]);
    const odd = { front: 'LE 5 left; N 0; RE 5 right; W 20 left; M 20 right', frontName: 'Odd' };
    const { men, before, now } = changedMen(A_CALL, odd, WAYS)!;
    const all = before.formation.men.map((m) => m.id);
    for (const seat of all) {
      const [was, is] = [before, now].map((w) => gistOf(w.resolution.assignments.find((a) => a.blocker === seat)));
      expect(men.some((m) => m.seat === seat)).toBe(was !== is);
    }
    expect(men.length).toBeGreaterThan(0);
    const xs = men.map((m) => before.formation.men.find((o) => o.id === m.seat)!.x);
    expect(xs).toEqual([...xs].sort((a, b) => a - b));
    expect(changedMen(A_CALL, { front: 'nonsense', frontName: 'x' }, WAYS)).toBeNull();
  });
});
