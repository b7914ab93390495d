import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seasonsOf, someMarks, someSaid, type MarkInRow } from '../../testing/some-marks';
import { columnsFor, countBy, type Asked, type MarksAsked } from './count-marks';
import { DIMENSION_IDS, type BookFilter, type Dimension } from './dimensions';
import {
  columnFor,
  columnOf,
  columnOfRow,
  MARK_COLUMNS,
  NONE,
  rowOf,
  type MarkColumn,
  type Names,
} from './mark-columns';
import { marksBehind } from './marks-behind';
import { MEASURE_IDS } from './measures';
import { isOfSaid, KEPT, VALUES_SAID, type Said } from './said';
import { linesOf, valuesOf, type Kinds } from './sum-lines';

const names: Names = {
  word: (number) => `word ${number}`,
  opponent: (game) => (game > 8 ? null : `opponent ${game % 3}`),
};
const COLUMN_OF: Partial<Record<Dimension, MarkColumn>> = { man: 'player', place: 'blocker' };
const NUMBERS: readonly Dimension[] = ['man', 'down', 'quarter', 'yard', 'game'];

/** The values a mark stands under, reckoned row by row. */
function valuesIn(by: Dimension, row: MarkInRow, said: Said): string[] {
  if (isOfSaid(by)) return [...VALUES_SAID[by](said)];
  if (by === 'season') return [`${row.season}`];
  const opponent = names.opponent(row.game);
  if (by === 'opponent') return opponent === null ? [] : [opponent];
  if (by === 'foe') return row.target === NONE || opponent === null ? [] : [`word ${row.target} of ${opponent}`];
  const value = row[COLUMN_OF[by] ?? (by as MarkColumn)];
  return value === NONE ? [] : [NUMBERS.includes(by) ? `${value}` : `word ${value}`];
}

const threeKinds = fc
  .tuple(someSaid, someSaid, someSaid)
  .map((all): Kinds => new Map(all.map((said, i) => [i + 1, said])));
const someFilter: fc.Arbitrary<Dimension[]> = fc.subarray(DIMENSION_IDS, { maxLength: 3 });
const only = fc.option(
  fc.record({ player: fc.constantFrom(7, 8), games: fc.subarray([1, 2, 3, 4, 5]).map((games) => new Set(games)) }),
);
/** Marks, narrowed to about half the values that come of a few dimensions, and those of them that are in it. */
const asking = fc
  .tuple(someMarks, threeKinds, someFilter, only)
  .map(([rows, kinds, dimensions, reach]): { open: MarksAsked; within: MarkInRow[]; rows: MarkInRow[] } => {
    const filter: BookFilter = {};
    for (const by of dimensions) {
      const there = [...new Set(rows.flatMap((row) => valuesIn(by, row, kinds.get(row.kind)!)))].sort();
      filter[by] = [...there.filter((_, i) => i % 2 === 0), 'nothing'];
    }
    const asked: Asked = { filter, only: reach };
    const isWithin = (row: MarkInRow): boolean =>
      dimensions.every((by) => valuesIn(by, row, kinds.get(row.kind)!).some((value) => filter[by]!.includes(value))) &&
      (!reach || (row.player === reach.player && reach.games.has(row.game)));
    return { open: { seasons: seasonsOf(rows), asked, names, kinds }, within: rows.filter(isWithin), rows };
  });

describe('marks kept column by column', () => {
  const far = fc.array(fc.constantFrom(NONE, -5, 0, 3, 2 ** 31 - 1));
  const close = fc.array(fc.oneof(fc.constant(NONE), fc.integer({ min: -9, max: 30 })), { size: 'max', maxLength: 60 });
  it.each([
    ['far from each other', far],
    ['close to each other', close],
  ])('have in every column what was put into it, each value once, as they come: %s', (_how, numbers) => {
    fc.assert(
      fc.property(numbers, (some) => {
        const { values, codes } = columnOf(Int32Array.from(some));
        expect(Array.from(codes, (code) => values[code])).toEqual(some);
        expect([...values]).toEqual([...new Set(some)]);
      }),
    );
  });

  it('have in a column what no two of them share as it is', () => {
    fc.assert(
      fc.property(fc.uniqueArray(fc.integer({ min: 1, max: 400_000 })), (grades) => {
        expect(columnFor('grade', Int32Array.from(grades))).toEqual(columnOf(Int32Array.from(grades)));
      }),
    );
  });

  it('are the same when a column was kept as a row', () => {
    fc.assert(
      fc.property(fc.constantFrom(...MARK_COLUMNS.filter((name) => name !== 'grade')), close, (name, numbers) => {
        const column = columnFor(name, Int32Array.from(numbers));
        expect(columnOfRow(rowOf(column))).toEqual(column);
      }),
    );
  });

  it.each(DIMENSION_IDS)('are counted by %s as row by row, whatever they are narrowed to', (by) => {
    fc.assert(
      fc.property(asking, ({ open, within }) => {
        const { lines, total } = linesOf(countBy(open, by), open.kinds, by);
        const keys = within.flatMap((row) => valuesIn(by, row, open.kinds.get(row.kind)!));
        expect(Object.fromEntries(lines.map(({ key, marks }) => [key, marks]))).toEqual(
          Object.fromEntries([...new Set(keys)].map((key) => [key, keys.filter((k) => k === key).length])),
        );
        expect(total.marks).toBe(within.length);
        expect(valuesOf(countBy(open, by), open.kinds, by)).toEqual(lines.map(({ key, marks }) => ({ key, marks })));
      }),
      { numRuns: 40 },
    );
  });

  it('ask for no more columns than they are counted and narrowed by', () => {
    expect(columnsFor({ filter: { fault: ['high-pads'] }, only: null }, ['phase'])).toEqual(['kind']);
    expect(columnsFor({ filter: { foe: ['N of Terns'], down: ['1'] }, only: null }, ['man']).sort()).toEqual(
      ['down', 'game', 'kind', 'player', 'target'].sort(),
    );
    expect(columnsFor({ filter: {}, only: { player: 1, games: new Set() } }).sort()).toEqual([
      'game',
      'kind',
      'player',
    ]);
  });
});

describe('lines', () => {
  it('come with the most marks first, those with as many by name, and so do the faults beside them', () => {
    fc.assert(
      fc.property(asking, ({ open }) => {
        const { lines } = linesOf(countBy(open, 'place'), open.kinds, 'place');
        const order = lines.map(({ marks, key }) => `${String(1000 - marks).padStart(4, '0')} ${key}`);
        expect(order).toEqual([...order].sort());
        for (const { faults } of lines) {
          const said = faults.map(({ count, fault }) => `${String(1000 - count).padStart(4, '0')} ${fault}`);
          expect(said).toEqual([...said].sort());
        }
      }),
    );
  });

  it('say of every measure what the marks under them say', () => {
    fc.assert(
      fc.property(asking, ({ open, within }) => {
        const { lines, total } = linesOf(countBy(open, 'place'), open.kinds, 'place');
        for (const line of [...lines, total]) {
          const own = within.filter((row) => line.key === 'all' || line.key === `word ${row.blocker}`);
          for (const measure of MEASURE_IDS) {
            const kept = own.map((row) => KEPT[measure](open.kinds.get(row.kind)!));
            expect(line.counts[measure].unknown).toBe(kept.filter((k) => k === null).length);
            if (measure === 'score' || measure === 'weighed') continue;
            expect(line.counts[measure].good).toBe(kept.filter((k) => k === true).length);
            expect(line.counts[measure].of).toBe(kept.filter((k) => k !== null).length);
          }
          const earned = own.reduce((sum, row) => sum + open.kinds.get(row.kind)!.earned, 0);
          expect(line.counts.score.good).toBeCloseTo(earned, 9);
          expect(Object.values(line.spread).reduce((a, b) => a + b, 0)).toBe(line.marks);
        }
      }),
    );
  });

  it('weigh a miss by what it meant, and what was done as asked once', () => {
    const said: Said = {
      ...{ rubric: 'points@1', assignment: true, technique: true, finish: null, bothKept: true, outcome: null },
      ...{ film: null, earned: 1, possible: 2, faults: [], facts: [], consequence: 'fatal', phasesDone: [] },
      phasesNot: [],
    };
    const kinds: Kinds = new Map([
      [1, said],
      [2, { ...said, earned: 2 }],
    ]);
    const counted = new Map([['LT', new Map([[1, 2], [2, 1]])]]); // prettier-ignore
    const [line] = linesOf(counted, kinds, 'place').lines;
    expect(line!.counts.weighed).toEqual({ good: 2 * 3 * 1 + 2, of: 2 * 3 * 2 + 2, unknown: 0 });
    expect(line!.counts.score).toEqual({ good: 4, of: 6, unknown: 0 });
  });

  it('of a part of the block say whether that very part was done', () => {
    fc.assert(
      fc.property(asking, ({ open, within }) => {
        for (const { key, counts } of linesOf(countBy(open, 'phase'), open.kinds, 'phase').lines) {
          const done = within.filter((row) => open.kinds.get(row.kind)!.phasesDone.includes(key)).length;
          const not = within.filter((row) => open.kinds.get(row.kind)!.phasesNot.includes(key)).length;
          expect(counts.technique).toEqual({ good: done, of: done + not, unknown: 0 });
        }
      }),
    );
  });
});

describe('marks behind a number', () => {
  const PARTS = [false, null, true];
  it('are those that are counted, misses first, the newest game first, page by page', () => {
    const onFilm = fc.option(fc.subarray([1, 2, 3]).map((snaps) => new Set(snaps)));
    fc.assert(
      fc.property(
        asking,
        fc.constantFrom(...MEASURE_IDS),
        fc.integer({ min: 1, max: 20 }),
        onFilm,
        ({ open, within }, measure, take, film) => {
          const partOf = (row: MarkInRow): number => PARTS.indexOf(KEPT[measure](open.kinds.get(row.kind)!));
          const wanted = within
            .filter((row) => !film || film.has(row.snap))
            .sort((a, b) => partOf(a) - partOf(b) || b.game - a.game || a.number - b.number || a.blocker - b.blocker);
          const found: number[] = [];
          for (let skip = 0; skip <= wanted.length; skip += take) {
            const { page, total } = marksBehind(open, measure, { skip, take }, film);
            expect(total).toBe(wanted.length);
            expect(page.length).toBe(Math.min(take, wanted.length - skip));
            found.push(...page.map(({ grade }) => grade));
          }
          expect(found).toEqual(wanted.map(({ grade }) => grade));
        },
      ),
    );
  });
});
