import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { AssignmentMarkSchema, GradeSchema, TechniqueMarkSchema, type Grade } from '../../model/grade';
import { BLOCKS, type BlockId } from '../../vocabulary/index';
import { changedGrade, doneGrade, findRubric, RUBRICS, rubricOf } from './index';
import { bothKept, refOf } from './rubric';

const BLOCK_IDS = Object.keys(BLOCKS) as BlockId[];

const grade = (part: Partial<Grade>): Grade => ({ ...doneGrade(part.rubric ?? 'assignment-technique@1'), ...part });
const aGrade = fc
  .record({
    rubric: fc.constantFrom(...RUBRICS.map(refOf)),
    assignment: fc.constantFrom(...AssignmentMarkSchema.options),
    technique: fc.constantFrom(...TechniqueMarkSchema.options),
    finish: fc.option(fc.constantFrom(...TechniqueMarkSchema.options)),
    points: fc.option(fc.integer({ min: 0, max: 4 })),
  })
  .map((part) => grade(part));

describe('every rubric', () => {
  it.each(RUBRICS.map((r) => [refOf(r), r] as const))(
    '%s is found by its name, and says how it grades',
    (ref, rubric) => {
      expect(findRubric(ref)).toBe(rubric);
      expect(rubric.says).toMatch(/\.$/);
      expect(rubric.passLine).toBeGreaterThan(0.5);
      expect(rubric.parts).toContain('assignment');
      expect(rubric.parts.includes('points')).toBe(rubric.done.points !== null);
      expect(rubric.parts.includes('finish')).toBe(rubric.done.finish !== null);
      expect(GradeSchema.parse(doneGrade(ref))).toEqual(doneGrade(ref));
    },
  );

  it('never gives more than is possible, nor less than nothing', () => {
    fc.assert(
      fc.property(aGrade, fc.constantFrom(...BLOCK_IDS), (given, block) => {
        const { earned, possible } = rubricOf(given.rubric).worth(given, block);
        expect(earned).toBeGreaterThanOrEqual(0);
        expect(earned).toBeLessThanOrEqual(possible);
      }),
    );
  });

  it('passes a man who did his job on every block', () => {
    for (const rubric of RUBRICS)
      for (const block of BLOCK_IDS) {
        const { earned, possible } = rubric.worth(doneGrade(refOf(rubric)), block);
        expect(earned / possible).toBeGreaterThanOrEqual(rubric.passLine);
      }
  });

  it('counts nothing where nobody could tell anything', () => {
    for (const { id, version, worth } of RUBRICS) {
      const nothing = grade({
        rubric: refOf({ id, version }),
        assignment: 'cannot tell',
        technique: 'cannot tell',
        points: null,
      });
      expect(worth({ ...nothing, finish: null }, 'double')).toEqual({ earned: 0, possible: 0 });
    }
  });

  it('never gains by a worse assignment', () => {
    fc.assert(
      fc.property(aGrade, (given) => {
        const { worth } = rubricOf(given.rubric);
        const share = (assignment: Grade['assignment']): number => {
          const { earned, possible } = worth({ ...given, assignment }, 'reach');
          return possible ? earned / possible : 0;
        };
        expect(share('wrong')).toBeLessThanOrEqual(share('right') + 1e-12);
      }),
    );
  });
});

describe('what marks are worth', () => {
  it.each([
    ['plus-minus@1', { technique: 'minus' }, 0, 1],
    ['plus-minus@1', { assignment: 'wrong' }, 0, 1],
    ['plus-minus@1', { assignment: 'not his fault' }, 0, 0],
    ['assignment-technique@1', { technique: 'minus' }, 0.5, 1],
    ['assignment-technique@1', { assignment: 'not his fault' }, 1, 1],
    ['with-finish@1', { finish: 'minus' }, 2 / 3, 1],
    ['with-finish@1', { finish: 'cannot tell' }, 1, 1],
    ['points@1', { points: 4 }, 1.5, 1.5],
    ['points@1', { points: 2 }, 0.75, 1.5],
    ['points@1', { assignment: 'wrong', points: 3 }, 0, 1.5],
  ] as const)('%s %o on a double: %f of %f', (rubric, part, earned, possible) => {
    const { worth } = rubricOf(rubric);
    expect(worth(grade({ rubric, ...part }), 'double')).toEqual({ earned, possible });
  });

  it('weigh a block that decides the play more, and one that only leaves a man hardly', () => {
    const { worth } = rubricOf('points@1');
    const possible = (block: string): number => worth(doneGrade('points@1'), block).possible;
    expect([possible('trap'), possible('base'), possible('leave')]).toEqual([1.5, 1, 0.25]);
  });

  it.each([
    ['right', 'plus', true],
    ['right', 'minus', false],
    ['wrong', 'cannot tell', false],
    ['not his fault', 'plus', null],
    ['not his fault', 'minus', false],
    ['cannot tell', 'cannot tell', null],
  ] as const)('%s and %s together: %s', (assignment, technique, kept) => {
    expect(bothKept(grade({ assignment, technique }))).toBe(kept);
  });

  it('of no rubric we know is an error', () => {
    expect(findRubric('stars@1')).toBeNull();
    expect(() => rubricOf('points@9')).toThrow(RangeError);
  });
});

describe('a grade that is changed', () => {
  it('in points follows the other marks, unless the points are said', () => {
    const done = doneGrade('points@1');
    expect(changedGrade(done, { assignment: 'wrong' }).points).toBe(0);
    expect(changedGrade(done, { technique: 'minus' }).points).toBe(1);
    expect(changedGrade({ ...done, points: 2 }, { technique: 'minus' }).points).toBe(2);
    expect(changedGrade({ ...done, points: 0 }, { technique: 'plus' }).points).toBe(3);
    expect(changedGrade({ ...done, points: 4 }, { technique: 'plus' }).points).toBe(4);
    expect(changedGrade(done, { assignment: 'cannot tell' }).points).toBeNull();
    expect(changedGrade(done, { technique: 'minus', points: 2 }).points).toBe(2);
    expect(changedGrade(done, { note: 'late' }).points).toBe(3);
  });

  it('in a rubric without points only changes what is said', () => {
    const done = doneGrade('with-finish@1');
    expect(changedGrade(done, { assignment: 'wrong' })).toEqual({ ...done, assignment: 'wrong' });
  });
});
