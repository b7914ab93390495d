import { describe, expect, it } from 'vitest';
import type { PlannedPlay } from '../model/week-plan';
import { buildsOn, installOrder } from './install';
import type { PlanCell } from './work-plan';

const play = (scheme: string): PlannedPlay => ({
  ...{ scheme, side: 'right', tags: [], formation: 'x', formationName: 'x', times: 1 },
});
const looks = [6, 3, 1].map((weight, i) => ({ front: String(i), frontName: String(i), weight, seen: '' }));
const cell = (
  at: number,
  look: number,
  verdict: PlanCell['verdict'],
  said: readonly [seat: string, sentence: string, block: string, call?: string][],
): PlanCell => ({
  ...{ play: at, look, verdict, sentence: '', throws: false, yards: null, losses: null },
  asked: said.map(([seat, sentence, block, call]) => ({
    seat,
    sentence,
    block,
    call: call ?? null,
    target: 'T',
    partners: [],
  })),
});
const order = (cells: PlanCell[], plays = 3) =>
  installOrder({ plays: Array.from({ length: plays }, (_, i) => play(`p${i}`)), looks }, cells);

describe('putting plays in', () => {
  it('begins with what opens most for what it asks to learn', () => {
    const steps = order([
      // Dear and good against everything.
      ...[0, 1, 2].map((l) =>
        cell(0, l, 'sound', [
          ['C', `a${l}`, `b${l}`],
          ['RG', `c${l}`, `d${l}`],
          ['LG', `e${l}`, `f${l}`],
        ]),
      ),
      // Cheap and good against the likeliest.
      cell(1, 0, 'sound', [['C', 'down on him', 'down']]),
      // Cheap and good for nothing.
      cell(2, 0, 'broken', [['C', 'climb', 'climb']]),
    ]);
    expect(steps.map((s) => s.play)).toEqual([1, 0, 2]);
    expect(steps.map((s) => s.unlocks)).toEqual([0.6, expect.closeTo(0.4, 9), 0]);
    expect(steps.map((s) => s.covered)).toEqual([0.6, expect.closeTo(1, 9), expect.closeTo(1, 9)]);
  });

  it('does not take a throw for a run: each opens its own share of the game, as often as it is called', () => {
    const cells = [
      ...[0, 1, 2].map((l) => ({ ...cell(0, l, 'sound', [['C', 'a', 'b']]), throws: true })),
      ...[0, 1, 2].map((l) => cell(1, l, 'sound', [['C', `c${l}`, 'd']])),
    ];
    const plays = [
      { ...play('p0'), times: 3 },
      { ...play('p1'), times: 1 },
    ];
    expect(installOrder({ plays, looks }, cells).map((s) => [s.play, s.unlocks, s.covered])).toEqual([
      [0, expect.closeTo(0.75, 9), expect.closeTo(0.75, 9)],
      [1, expect.closeTo(0.25, 9), expect.closeTo(1, 9)],
    ]);
    expect(
      installOrder(
        { plays, looks },
        cells.map((c) => ({ ...c, throws: false })),
      )[1]!.unlocks,
    ).toBe(0);
  });

  it('puts a play in after the one it builds on, however much more it opens', () => {
    const cells = [
      cell(0, 0, 'sound', [['C', 'a', 'b']]),
      cell(1, 2, 'sound', [['C', 'c', 'd']]),
      cell(2, 1, 'sound', [['C', 'e', 'f']]),
    ];
    const plays = [
      { ...play('boot'), after: { scheme: 'p1', side: 'right' as const, tags: [] } },
      play('p1'),
      play('p2'),
    ];
    const steps = installOrder({ plays, looks }, cells);
    expect(steps.map((s) => [s.play, s.after])).toEqual([
      [2, []],
      [1, []],
      [0, [1]],
    ]);
    // Without a word of it what opens most is first.
    expect(order(cells).map((s) => s.play)).toEqual([0, 2, 1]);
  });

  it('counts a call with tags as built on the same call without them, and breaks a circle', () => {
    const tagged = (...tags: string[]): PlannedPlay => ({ ...play('p0'), tags });
    const plays = [tagged('read', 'split'), tagged('read'), tagged(), { ...tagged(), side: 'left' as const }];
    expect(plays.map((_, i) => buildsOn(plays, i))).toEqual([[1, 2], [2], [], []]);
    const name = (scheme: string) => ({ scheme, side: 'right' as const, tags: [] });
    const circle = [
      { ...play('a'), after: name('b') },
      { ...play('b'), after: name('a') },
    ];
    const cells = [cell(0, 1, 'sound', [['C', 'a', 'b']]), cell(1, 0, 'sound', [['C', 'c', 'd']])];
    expect(installOrder({ plays: circle, looks }, cells).map((s) => [s.play, s.after])).toEqual([
      [1, []],
      [0, [1]],
    ]);
  });

  it('counts for every place what it does not know yet, and nothing twice', () => {
    const same: [string, string, string, string][] = [['RG', 'down on him', 'down', 'Granite']];
    const steps = order([cell(0, 0, 'sound', same), cell(1, 0, 'sound', [...same, ['C', 'back', 'back', 'Kite']])], 2);
    expect(steps[0]).toMatchObject({
      ...{ play: 0, cost: 3, adds: [{ seat: 'RG', sentences: 1, blocks: ['down'], calls: ['Granite'] }] },
    });
    expect(steps[1]).toMatchObject({ play: 1, cost: 3, adds: [{ seat: 'C', sentences: 1 }] });
  });

  it('puts every play in once, and leaves out what nobody could work out', () => {
    const steps = order([cell(0, 0, 'sound', [['C', 's', 'b']]), cell(2, 1, 'at risk', [['C', 's', 'b']])]);
    expect(steps.map((s) => s.play)).toEqual([0, 2]);
    expect(steps[1]!.cost).toBe(0);
    expect(order([])).toEqual([]);
  });
});
