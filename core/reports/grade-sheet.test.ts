import { describe, expect, it } from 'vitest';
import type { BookSnap } from '../grade/book/lines';
import { doneGrade } from '../grade/rubrics/index';
import { ALL_PLUS, type Grade } from '../model/grade';
import { gradeSheet, type SheetWords } from './grade-sheet';

const WORDS: SheetWords = {
  play: (scheme, side) => `${scheme} ${side}`,
  block: (block) => block,
  fault: (fault) => fault.replaceAll('-', ' '),
  own: [],
};
const mark = (number: number, grade: Grade, gameId = 1): BookSnap => ({
  ...{ snapId: number, number, gameId, opponent: 'Terns', week: gameId, blocker: 'RG', man: '61 Anselm Rook' },
  ...{ scheme: 'power', side: 'right', front: 'Over' },
  asked: { block: 'double', target: 'T', next: 'M', partners: ['RT'], role: 'inner', schools: [] },
  grade,
});
const MINUS: Grade = { ...ALL_PLUS, technique: 'minus', faults: ['high-pads'], note: 'Get under him.' };
const sheet = (marks: BookSnap[]) => gradeSheet(marks, { title: '61 Anselm Rook', subtitle: 'Week 1' }, WORDS);

describe('a grade sheet', () => {
  it('stands in the order of the snaps, with what was asked and what was seen', () => {
    const { rows } = sheet([mark(3, ALL_PLUS), mark(1, MINUS)]);
    expect(rows[0]).toEqual({
      snap: '1',
      call: 'power right, over',
      asked: 'RG double T, then M',
      assignment: 'kept',
      technique: 'missed',
      more: '',
      beside: 'high pads: Get under him.',
    });
    expect(rows.map((r) => r.snap)).toEqual(['1', '3']);
  });

  it('counts as the Book does: what could not be told is in no percentage', () => {
    const unknown: Grade = { ...ALL_PLUS, assignment: 'cannot tell', technique: 'cannot tell' };
    const { rates, faults, rows } = sheet([mark(1, ALL_PLUS), mark(2, MINUS), mark(3, unknown), mark(4, MINUS)]);
    expect(rates.map((r) => [r.name, r.rate.good, r.rate.of, r.rate.unknown])).toEqual([
      ['Right man', 3, 3, 1],
      ['Technique', 1, 3, 1],
      ['Both', 1, 3, 1],
      ['Grade', 2, 3, 1],
    ]);
    expect(faults).toEqual([{ name: 'high pads', count: 2 }]);
    expect(rows[2]).toMatchObject({ assignment: 'untold', technique: 'untold' });
  });

  it('says the week where it is of several games, and points where the rubric has them', () => {
    expect(sheet([mark(1, ALL_PLUS, 2), mark(9, ALL_PLUS, 1)]).rows.map((r) => r.snap)).toEqual(['1.9', '2.1']);
    expect(sheet([mark(1, doneGrade('points@1'))]).rows[0]).toMatchObject({ technique: 'none', more: '3' });
    expect(sheet([mark(1, { ...doneGrade('with-finish@1'), finish: 'minus' })]).rows[0]!.more).toBe('minus');
  });
});
