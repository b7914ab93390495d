import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dueOn, KEEP_TIMES, sayKeepTime } from './keep-time';

const day = (d: Date): string => d.toISOString().slice(0, 10);

describe('how long what is known of a man who left is kept', () => {
  it.each([
    ['2026-01-15', 12, '2027-01-15'],
    ['2026-08-31', 6, '2027-02-28'],
    ['2027-08-31', 6, '2028-02-29'],
    ['2028-02-29', 12, '2029-02-28'],
    ['2026-12-31', 1, '2027-01-31'],
    ['2026-10-30', 36, '2029-10-30'],
  ])('left on %s and kept %i months: %s', (left, months, due) => {
    expect(day(dueOn(new Date(left), months))).toBe(due);
  });

  it('is never sooner than whoever left earlier, and grows with the months', () => {
    const left = fc.date({ min: new Date('2020-01-01'), max: new Date('2040-01-01'), noInvalidDate: true });
    fc.assert(
      fc.property(left, left, fc.integer({ min: 1, max: 120 }), (a, b, months) => {
        const [first, second] = a <= b ? [a, b] : [b, a];
        expect(
          dueOn(first, months) <= dueOn(second, months) || day(dueOn(first, months)) === day(dueOn(second, months)),
        ).toBe(true);
        expect(dueOn(a, months + 1) > dueOn(a, months)).toBe(true);
      }),
    );
  });

  it('is said as a coach would', () => {
    expect(KEEP_TIMES.map(sayKeepTime)).toEqual([
      'until somebody erases it',
      '6 months after he left',
      'a year after he left',
      '2 years after he left',
      '3 years after he left',
      '5 years after he left',
    ]);
  });
});
