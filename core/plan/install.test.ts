import { describe, expect, it } from 'vitest';
import type { PlannedPlay } from '../model/week-plan';
import { installOrder } from './install';
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
  ...{ play: at, look, verdict, sentence: '', yards: null, losses: null },
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
