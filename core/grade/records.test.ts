import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FACT_IDS } from '../model/facts';
import { FAULT_IDS } from '../model/faults';
import { ALL_PLUS, CONSEQUENCES, GradeSchema, type Grade } from '../model/grade';
import { anEntry, anItem } from '../testing/a-log';
import { readRecords, writeRecords } from './read-records';
import type { GradeRecord } from './record';

const MEN = ['LT', 'LG', 'C', 'RG', 'RT'];
const SNAPS = [1, 2].map((n) => ({
  ...anItem(
    anEntry(n),
    MEN.map((blocker) => ({ blocker, block: 'drive', partners: [] })),
  ),
  id: 10 + n,
}));
const CONTEXT = {
  snaps: SNAPS,
  rubric: 'assignment-technique@1',
  own: [{ id: 'looked-up', name: 'looked up', part: 'pads', blocks: [] }],
};
const record = (snap: number, place: string, grade: Grade): GradeRecord => ({
  ...{
    season: 'Nine Bridges League',
    week: 5,
    opponent: 'Fennick Otters',
    snap,
    place,
    player: 'Jory Pell',
    number: 55,
  },
  ...{ play: 'power', side: 'right', front: 'Over', reading: 'grade', at: '2026-10-04T20:00:00.000Z' },
  asked: { block: 'drive', target: 'T', next: null, partners: [], role: 'alone', schools: [] },
  grade,
});
const table = (records: readonly GradeRecord[]): [string[], string[][]] => {
  const [heads, ...rows] = writeRecords(records, CONTEXT.own).map((row) => row.map(String));
  return [heads!, rows];
};

const aGrade = fc
  .record({
    assignment: fc.constantFrom(...GradeSchema.shape.assignment.options),
    technique: fc.constantFrom(...GradeSchema.shape.technique.options),
    outcome: fc.option(fc.constantFrom('success' as const, 'not' as const, 'cannot tell' as const)),
    faults: fc.uniqueArray(fc.constantFrom(...FAULT_IDS, 'looked-up'), { maxLength: 3 }),
    facts: fc.uniqueArray(fc.constantFrom(...FACT_IDS), { maxLength: 3 }),
    hit: fc.option(fc.constantFrom('LE', 'N', 'T')),
    consequence: fc.option(fc.constantFrom(...CONSEQUENCES)),
    counts: fc.boolean(),
    note: fc.constantFrom('', 'Late, then caught him', 'said "Ferry"'),
  })
  .map((part): Grade => ({ ...ALL_PLUS, ...part }));

describe('grades as a table', () => {
  it('come back the same, whatever they say', () => {
    fc.assert(
      fc.property(fc.array(aGrade, { minLength: 1, maxLength: 5 }), (grades) => {
        const records = grades.map((g, i) => record(1, MEN[i]!, g));
        const { grades: found, problems } = readRecords(...table(records), CONTEXT);
        expect(problems).toEqual([]);
        expect(found.map((f) => f.grade)).toEqual(grades);
        expect(found.map((f) => [f.snapId, f.blocker])).toEqual(grades.map((_, i) => [11, MEN[i]]));
      }),
    );
  });

  it('need whose they are and the marks; everything else is as with a man who did his job', () => {
    const found = readRecords(
      ['Snap', 'PLACE', 'assignment', 'technique'],
      [
        ['2', 'lg', 'Wrong', 'plus'],
        ['', '', '', ''],
      ],
      CONTEXT,
    );
    expect(found).toEqual({
      grades: [{ row: 2, snapId: 12, number: 2, blocker: 'LG', grade: { ...ALL_PLUS, assignment: 'wrong' } }],
      problems: [],
    });
    expect(readRecords(['snap', 'assignment'], [['1', 'right']], CONTEXT).problems).toEqual([
      { row: 1, heading: 'place', says: 'there is no column "place"' },
    ]);
  });

  it('name every cell that cannot be read, with its row, and leave the row out', () => {
    const heads = ['snap', 'place', 'assignment', 'technique', 'faults', 'points', 'consequence', 'note'];
    const rows = [
      ['1', 'LT', 'right', 'plus', '', '', '', ''],
      ['9', 'LT', 'right', 'plus', '', '', '', ''],
      ['1', 'Z', 'right', 'plus', '', '', '', ''],
      ['1', 'C', 'maybe', '', 'high-pads; wobble', '7', 'bad', 'x'.repeat(501)],
      ['1', 'LT', 'right', 'minus', '', '', '', ''],
      ['2', 'C', '', 'plus', '', '', '', ''],
    ];
    const { grades, problems } = readRecords(heads, rows, CONTEXT);
    expect(grades.map((g) => g.row)).toEqual([2]);
    expect(problems.map((p) => `${p.row} ${p.heading}: ${p.says}`)).toEqual([
      '3 snap: the game has no snap "9"',
      '4 place: nobody was asked anything at "Z" on snap 1',
      '5 assignment: "maybe" is none of right, wrong, not his fault, cannot tell',
      '5 points: "7" is no whole number from 0 to 4',
      '5 faults: "wobble" is not known here',
      '5 consequence: "bad" is none of harmless, costly, fatal',
      '5 note: the note is longer than 500 letters',
      '5 technique: it is empty',
      '6 place: LT on snap 1 is in the table twice',
      '7 assignment: it is empty',
    ]);
  });

  it('keep the rubric they were given with, and name one that nobody knows', () => {
    const heads = ['snap', 'place', 'rubric', 'assignment', 'technique', 'points'];
    const rows = [
      ['1', 'C', 'points@1', 'right', '', '2'],
      ['1', 'LG', '', 'right', 'minus', ''],
      ['1', 'RG', 'stars@1', 'right', 'plus', ''],
    ];
    const { grades, problems } = readRecords(heads, rows, CONTEXT);
    expect(grades.map((g) => [g.grade.rubric, g.grade.points])).toEqual([
      ['points@1', 2],
      ['assignment-technique@1', null],
    ]);
    expect(problems.map((p) => p.says)).toEqual(['there is no rubric "stars@1"']);
  });

  it('in points need no technique', () => {
    const points = { ...CONTEXT, rubric: 'points@1' };
    const { grades } = readRecords(['snap', 'place', 'assignment', 'points'], [['1', 'C', 'right', '4']], points);
    expect(grades[0]!.grade).toMatchObject({ rubric: 'points@1', points: 4 });
  });
});
