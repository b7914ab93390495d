import { describe, expect, it } from 'vitest';
import { FIRST_SNAP } from '#core/film/log/series';
import type { Situation } from '#core/model/snap';
import { sayOutcome, signed } from './words';

describe('what came of a snap', () => {
  const flag = { what: 'holding', on: 'us', yards: 10, again: true } as const;
  it.each<[Partial<Situation>, string]>([
    [{ gain: 4 }, '+4'],
    [{ gain: 4, beforeContact: 2 }, '+4, touched after +2'],
    [{ gain: 1, beforeContact: -1 }, '+1, touched after −1'],
    [{ gain: 0, result: 'incomplete' }, '0, incomplete'],
    [{ gain: -2, penalty: flag }, '−2, flag on us for holding, 10 yards, down again'],
    [
      { gain: 3, result: 'touchdown', penalty: { ...flag, what: '', on: 'them', again: false } },
      '+3, touchdown, flag on them, 10 yards',
    ],
  ])('%o is said: %s', (change, says) => {
    expect(sayOutcome({ ...FIRST_SNAP, ...change })).toBe(says);
  });
  it('has a sign that is no hyphen', () => {
    expect([signed(-3), signed(0), signed(12)]).toEqual(['−3', '0', '+12']);
  });
});
