import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { FAULT_IDS } from '../model/faults';
import { AssignmentMarkSchema, TechniqueMarkSchema, type Grade } from '../model/grade';
import { bookLines, worth, type MarkRow } from './book';

const grade = (
  assignment: Grade['assignment'],
  technique: Grade['technique'],
  fault: Grade['fault'] = null,
): Grade => ({
  assignment,
  technique,
  fault,
  note: '',
});
const row = (blocker: string, given: Grade, snapNumber = 1): MarkRow => ({
  snapId: snapNumber,
  snapNumber,
  gameId: 1,
  blocker,
  playerId: null,
  playerName: blocker,
  playerNumber: null,
  scheme: 'power',
  side: 'right',
  block: 'double',
  front: 'Over',
  grade: given,
});

describe('what a mark is worth', () => {
  it.each([
    ['right', 'plus', true, true, true],
    ['right', 'minus', true, false, false],
    ['wrong', 'plus', false, true, false],
    ['not his fault', 'plus', null, true, null],
    ['not his fault', 'minus', null, false, false],
    ['cannot tell', 'cannot tell', null, null, null],
    ['wrong', 'cannot tell', false, null, false],
    ['right', 'cannot tell', true, null, null],
  ] as const)('%s and %s', (assignment, technique, man, how, both) => {
    const given = grade(assignment, technique);
    expect([worth(given, 'assignment'), worth(given, 'technique'), worth(given, 'both')]).toEqual([man, how, both]);
  });
});

describe('the lines of the book', () => {
  it('leave out of the base what nobody could tell, and count it beside', () => {
    const [line] = bookLines(
      [row('RG', grade('right', 'plus')), row('RG', grade('wrong', 'minus')), row('RG', grade('cannot tell', 'plus'))],
      (r) => r.blocker,
    );
    expect(line!.assignment).toMatchObject({ good: 1, of: 2, unknown: 1 });
    expect(line!.technique).toMatchObject({ good: 2, of: 3, unknown: 0 });
    expect(line!.both).toMatchObject({ good: 1, of: 2, unknown: 1 });
  });

  it('count faults, the most frequent first and then by name', () => {
    const [line] = bookLines(
      [
        row('RG', grade('right', 'minus', 'lunge')),
        row('RG', grade('right', 'minus', 'high-pads')),
        row('RG', grade('right', 'minus', 'lunge')),
        row('RG', grade('right', 'minus', 'catch')),
        row('RG', grade('right', 'plus')),
      ],
      (r) => r.blocker,
    );
    expect(line!.faults).toEqual([
      { fault: 'lunge', count: 2 },
      { fault: 'catch', count: 1 },
      { fault: 'high-pads', count: 1 },
    ]);
  });

  it('hold every mark once, whatever they are grouped by', () => {
    const aRow = fc
      .record({
        blocker: fc.constantFrom('LT', 'LG', 'C', 'RG'),
        snap: fc.integer({ min: 1, max: 60 }),
        assignment: fc.constantFrom(...AssignmentMarkSchema.options),
        technique: fc.constantFrom(...TechniqueMarkSchema.options),
        fault: fc.option(fc.constantFrom(...FAULT_IDS)),
      })
      .map((r) => row(r.blocker, grade(r.assignment, r.technique, r.fault), r.snap));
    fc.assert(
      fc.property(fc.array(aRow), (rows) => {
        const lines = bookLines(rows, (r) => r.blocker);
        expect(lines.flatMap((l) => l.rows)).toHaveLength(rows.length);
        expect(lines.map((l) => l.key)).toEqual([...new Set(rows.map((r) => r.blocker))]);
        for (const { rows: own, assignment, technique, both } of lines)
          for (const rate of [assignment, technique, both]) expect(rate.of + rate.unknown).toBe(own.length);
        for (const { both, assignment, technique } of lines)
          expect(both.good).toBeLessThanOrEqual(Math.min(assignment.good, technique.good));
      }),
    );
  });
});
