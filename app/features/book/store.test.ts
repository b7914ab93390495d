import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { MarkRow } from '#core/grade/book';
import { ALL_PLUS, type Grade } from '#core/model/grade';
import { useBook } from './store';

const MINUS: Grade = { ...ALL_PLUS, technique: 'minus', fault: 'high-pads' };
const TELL: Grade = { ...ALL_PLUS, technique: 'cannot tell' };
const row = (snapNumber: number, blocker: string, grade: Grade, change: Partial<MarkRow> = {}): MarkRow => ({
  snapId: snapNumber,
  snapNumber,
  gameId: 1,
  blocker,
  playerId: 1,
  playerName: `Man at ${blocker}`,
  playerNumber: 60,
  scheme: 'power',
  side: 'right',
  block: 'double',
  front: 'Over',
  grade,
  ...change,
});
const ROWS = [
  row(1, 'RG', ALL_PLUS),
  row(2, 'RG', MINUS),
  row(3, 'RG', TELL),
  row(1, 'LT', ALL_PLUS, { block: 'hinge', playerName: 'Spare', playerNumber: null }),
  row(4, 'RG', MINUS, { scheme: 'duo', side: 'left' }),
];
let answer: () => unknown;
beforeEach(() => {
  setActivePinia(createPinia());
  answer = () => ROWS;
  vi.stubGlobal('$fetch', async () => answer());
});
afterEach(() => vi.unstubAllGlobals());

describe('the book', () => {
  it('counts by man in the order of the line, by play and by block', async () => {
    const book = useBook();
    await book.load();
    expect(book.byMan.map((l) => [l.key, l.technique.of, l.rows.length])).toEqual([
      ['LT  Spare', 1, 1],
      ['RG 60 Man at RG', 3, 4],
    ]);
    expect(book.byPlay.map((l) => l.key)).toEqual(['Power right', 'Duo left']);
    expect(book.byBlock.map((l) => l.key)).toEqual(['Double', 'Hinge']);
    expect(book.byMan[1]!.faults).toEqual([{ fault: 'high-pads', count: 2 }]);
  });

  it('opens a number to the snaps behind it, the bad ones first, then those nobody could tell', async () => {
    const book = useBook();
    await book.load();
    book.open(book.byMan[1]!, 'technique');
    expect(book.opened!.rows.map((r) => r.snapNumber)).toEqual([2, 4, 3, 1]);
    book.open(book.byMan[1]!, 'assignment');
    expect(book.opened!.rows.map((r) => r.snapNumber)).toEqual([1, 2, 3, 4]);
    expect(book.opened!.title).toBe('RG 60 Man at RG');
  });

  it('keeps what it has when the server cannot be reached, and says so', async () => {
    const book = useBook();
    await book.load();
    answer = () => {
      throw new Error('refused');
    };
    await book.load();
    expect([book.problem, book.rows.length, book.loaded]).toEqual(['The server cannot be reached.', 5, true]);
    answer = () => [];
    await book.load();
    expect([book.problem, book.byMan]).toEqual(['', []]);
  });
});
