import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { SnapItem } from '#core/model/game';
import { anEntry, anItem } from '#core/testing/a-log';
import { backOf, changedSince, stepBetween } from './take-back';

/** A log by what each snap gained. */
const logOf = (gains: Readonly<Record<number, number>>): SnapItem[] =>
  Object.entries(gains).map(([n, gain]) => anItem(anEntry(Number(n), {}, { gain })));
const gainsOf = (log: readonly SnapItem[]): Record<number, number> =>
  Object.fromEntries(log.map((s) => [s.number, s.situation.gain]));
const gains = fc.dictionary(fc.integer({ min: 1, max: 6 }).map(String), fc.integer({ min: 0, max: 2 }));
const ALL = [1, 2, 3, 4, 5, 6];

describe('a step of the log', () => {
  it('taken back leaves the log as it was, and touches nothing else', () => {
    fc.assert(
      fc.property(gains, gains, fc.subarray(ALL), (was, is, touched) => {
        const [before, after] = [logOf(was), logOf(is)];
        const step = stepBetween(1, 'snap logged', touched, before, after);
        const differs = touched.filter((n) => was[n] !== is[n]);
        expect(step === null).toBe(differs.length === 0);
        if (!step) return;
        const { entries, without } = backOf(step);
        const written = Object.fromEntries(entries.map((e) => [e.number, e.situation.gain]));
        const left: Record<number, number> = { ...gainsOf(after), ...written };
        for (const n of without) delete left[n];
        for (const n of ALL) expect(left[n]).toBe(differs.includes(n) ? was[n] : is[n]);
        expect(changedSince(step, after)).toEqual([]);
      }),
    );
  });

  it('tells which of its snaps somebody has changed, taken out or put in since', () => {
    const step = stepBetween(1, '', ALL, logOf({ 1: 0, 2: 0, 3: 0 }), logOf({ 1: 1, 2: 1, 4: 1 }))!;
    expect(changedSince(step, logOf({ 1: 1, 2: 1, 4: 1 }))).toEqual([]);
    expect(changedSince(step, logOf({ 1: 2, 3: 0, 4: 1 }))).toEqual([1, 2, 3]);
    expect(changedSince(step, logOf({ 1: 1, 2: 1, 4: 1, 6: 9 }))).toEqual([]);
  });
});
