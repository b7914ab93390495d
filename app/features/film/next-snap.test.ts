import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { snapAway } from './next-snap';

const snaps = [2, 3, 7, 9].map((number) => ({ number }));

describe('the snap before or after', () => {
  it.each([
    [3, 1, 7],
    [3, -1, 2],
    [5, 1, 7],
    [5, -1, 3],
    [2, 2, 7],
    [9, -3, 2],
    [9, 1, undefined],
    [2, -1, undefined],
    [1, -1, undefined],
  ])('from %i by %i is %s', (from, step, to) => {
    expect(snapAway(snaps, from, step)?.number).toBe(to);
  });

  it('comes back the same way', () => {
    const numbers = fc.uniqueArray(fc.nat(99), { minLength: 1 }).map((all) => [...all].sort((a, b) => a - b));
    fc.assert(
      fc.property(numbers, fc.nat(), (all, n) => {
        const list = all.map((number) => ({ number }));
        const from = all[n % all.length]!;
        const on = snapAway(list, from, 1);
        if (on) expect(snapAway(list, on.number, -1)!.number).toBe(from);
        else expect(from).toBe(all.at(-1));
      }),
    );
  });
});
