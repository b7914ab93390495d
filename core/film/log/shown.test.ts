import { describe, expect, it } from 'vitest';
import * as fc from 'fast-check';
import { A_CALL } from '../../testing/a-call';
import { anEntry } from '../../testing/a-log';
import type { LogEntry } from '../../model/game';
import { sayShown, shownFronts } from './shown';

const shows = (number: number, frontName: string, down: number, notCounted = ''): LogEntry => {
  const entry = anEntry(number, { ...A_CALL, frontName }, { down });
  return { ...entry, logged: { ...entry.logged, notCounted } };
};

describe('what an opponent shows', () => {
  it('is counted by front and down, the most frequent first', () => {
    const log = [
      shows(1, 'Odd', 1),
      shows(2, 'Bear', 2),
      shows(3, 'Odd', 4),
      shows(4, 'Odd', 3),
      shows(5, 'Bear', 2, 'kneel'),
    ];
    expect(shownFronts(log)).toEqual([
      { frontName: 'Odd', snaps: [1, 3, 4], downs: [1, 0, 2] },
      { frontName: 'Bear', snaps: [2], downs: [0, 1, 0] },
    ]);
  });

  it('is said with the game it is of', () => {
    const game = { id: 1, opponent: 'Terns', theirs: 'Millers', week: 5, published: false, snaps: 2 };
    expect(sayShown(game, 2)).toMatch(/^2 snaps of week 5, Terns against Millers\. Neither line of it is graded;/);
    expect(sayShown(game, 1)).toMatch(/^1 snap of /);
  });

  it('is nothing where nothing is logged', () => {
    expect(shownFronts([])).toEqual([]);
  });

  it('holds every snap that counts once, and the downs add up', () => {
    const snap = fc.record({
      frontName: fc.constantFrom('Over', 'Under', 'Odd', 'Bear'),
      down: fc.integer({ min: 1, max: 4 }),
      notCounted: fc.constantFrom('', '', 'penalty'),
    });
    fc.assert(
      fc.property(fc.array(snap, { maxLength: 40 }), (snaps) => {
        const shown = shownFronts(snaps.map((s, i) => shows(i + 1, s.frontName, s.down, s.notCounted)));
        const counted = snaps.flatMap((s, i) => (s.notCounted ? [] : [i + 1]));
        expect(shown.flatMap((f) => f.snaps).sort((a, b) => a - b)).toEqual(counted);
        for (const { snaps: own, downs } of shown) expect(downs[0] + downs[1] + downs[2]).toBe(own.length);
        expect(shown.map((f) => f.snaps.length)).toEqual(shown.map((f) => f.snaps.length).sort((a, b) => b - a));
      }),
    );
  });
});
