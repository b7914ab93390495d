import { describe, expect, it } from 'vitest';
import { ALL_PLUS } from '../model/grade';
import { doneGrade } from './rubrics/index';
import { sayBeside, sayMarks, sayPair } from './say-grade';

describe('a grade in words', () => {
  it.each([
    [ALL_PLUS, 'assignment right, technique plus'],
    [
      { ...ALL_PLUS, assignment: 'not his fault', technique: 'minus' } as const,
      'assignment not his fault, technique minus',
    ],
    [{ ...doneGrade('with-finish@1'), finish: 'minus' } as const, 'assignment right, technique plus, finish minus'],
    [doneGrade('points@1'), 'assignment right, 3 of 4'],
    [{ ...doneGrade('points@1'), points: null }, 'assignment right, no points'],
    [{ ...ALL_PLUS, counts: false }, 'had no part in it'],
  ])('%#', (grade, says) => expect(sayMarks(grade)).toBe(says));

  it('says what stands beside its marks, and nothing where nothing does', () => {
    expect(sayBeside(ALL_PLUS)).toBe('');
    expect(
      sayBeside(
        {
          ...ALL_PLUS,
          faults: ['high-pads', 'looked-up'],
          facts: ['hit'],
          hit: 'RE',
          pair: { movement: 'done', hips: 'not', left: 'RT', when: 'early' },
          consequence: 'costly',
          note: 'Ask him.',
        },
        [{ id: 'looked-up', name: 'looked up', part: 'pads', blocks: [] }],
      ),
    ).toBe('high pads, looked up, hit allowed, hit RE, moved him, hips apart, RT left early, costly: Ask him.');
    expect(sayPair({ movement: null, hips: null, left: null, when: 'late' })).toBe('');
    expect(sayBeside({ ...ALL_PLUS, faults: ['gone-now'] })).toBe('gone now');
  });
});
