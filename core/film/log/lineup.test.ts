import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lineupAt, lineupDoubts, NO_CHANGES, playerAt, substitute, type Lineup } from './lineup';

const ROSTER = [
  { id: 1, name: 'Tallow', number: 72, seat: 'LT' },
  { id: 2, name: 'Wicken', number: 64, seat: 'LG' },
  { id: 3, name: 'Spare', number: 66, seat: '' },
  { id: 4, name: 'Twin', number: 64, seat: '' },
];
const SEATS = ['LT', 'LG'];
const said = (lineup: Lineup, snap: number): string[] =>
  [...lineupAt(lineup, ROSTER, SEATS, snap)].map(([seat, m]) => `${seat} ${m.name} ${m.number}`);

describe('who was on the field', () => {
  it('is the roster as long as nobody says otherwise', () => {
    expect(said(NO_CHANGES, 1)).toEqual(['LT Tallow 72', 'LG Wicken 64']);
    expect(playerAt(NO_CHANGES, ROSTER, 'C', 1)).toBeNull();
  });

  it('is the substitute from his first snap on, and no snap before', () => {
    const lineup = substitute(NO_CHANGES, { from: 7, seat: 'LG', playerId: 3 });
    expect(said(lineup, 6)).toContain('LG Wicken 64');
    expect(said(lineup, 7)).toContain('LG Spare 66');
    expect(said(substitute(lineup, { from: 12, seat: 'LG', playerId: 2 }), 12)).toContain('LG Wicken 64');
  });

  it('leaves a man’s usual place empty while he plays another', () => {
    const lineup = substitute(NO_CHANGES, { from: 3, seat: 'LT', playerId: 2 });
    expect(said(lineup, 3)).toEqual(['LT Wicken 64']);
    expect(said(lineup, 2)).toEqual(['LT Tallow 72', 'LG Wicken 64']);
    const back = substitute(lineup, { from: 5, seat: 'LT', playerId: 1 });
    expect(said(back, 5)).toEqual(['LT Tallow 72', 'LG Wicken 64']);
  });

  it('is nobody where a place was left open, or the man has left the roster', () => {
    expect(playerAt(substitute(NO_CHANGES, { from: 1, seat: 'LT', playerId: null }), ROSTER, 'LT', 4)).toBeNull();
    expect(playerAt(substitute(NO_CHANGES, { from: 1, seat: 'LT', playerId: 99 }), ROSTER, 'LT', 4)).toBeNull();
  });

  it('wears the number of that snap', () => {
    const lineup: Lineup = { seats: [], jerseys: [{ from: 4, playerId: 1, number: 90 }] };
    expect([said(lineup, 3)[0], said(lineup, 4)[0]]).toEqual(['LT Tallow 72', 'LT Tallow 90']);
  });

  it('is doubted where one man is in two places or two men wear one number', () => {
    const twice = substitute(substitute(NO_CHANGES, { from: 1, seat: 'LT', playerId: 3 }), {
      from: 1,
      seat: 'LG',
      playerId: 3,
    });
    expect(lineupDoubts(lineupAt(twice, ROSTER, SEATS, 1))).toEqual(['Spare plays LT and LG at once.']);
    const alike = substitute(NO_CHANGES, { from: 1, seat: 'LT', playerId: 4 });
    expect(lineupDoubts(lineupAt(alike, ROSTER, SEATS, 1))).toEqual(['Twin (LT) and Wicken (LG) both wear 64.']);
    expect(lineupDoubts(lineupAt(NO_CHANGES, ROSTER, SEATS, 1))).toEqual([]);
  });

  it('is the last change that began by then, in whatever order they were written', () => {
    const change = fc.record({
      from: fc.integer({ min: 1, max: 20 }),
      seat: fc.constant('LG'),
      playerId: fc.constantFrom(2, 3, 4),
    });
    fc.assert(
      fc.property(fc.uniqueArray(change, { selector: (c) => c.from }), fc.integer({ min: 1, max: 25 }), (all, snap) => {
        const written = all.reduce(substitute, NO_CHANGES);
        const last = [...all].filter((c) => c.from <= snap).sort((a, b) => b.from - a.from)[0];
        expect(playerAt(written, ROSTER, 'LG', snap)).toBe(last ? last.playerId : 2);
        expect([...all].reverse().reduce(substitute, NO_CHANGES)).toEqual(written);
      }),
    );
  });
});
