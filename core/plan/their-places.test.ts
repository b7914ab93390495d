import { describe, expect, it } from 'vitest';
import { SHIPPED_PLAYBOOK } from '../calls/playbook';
import { PLAN } from '../testing/a-week-paper';
import { theirManOf, WeekPlanSchema } from '../model/week-plan';
import { theirPlaces } from './their-places';

describe('whoever of theirs is on a look', () => {
  it('stands in line from left to right on the likeliest, each once, those of other looks after them', () => {
    expect(theirPlaces(PLAN, SHIPPED_PLAYBOOK)).toEqual(['LE', 'W', 'N', 'FS', 'M', 'T', 'RE']);
    const wide = { front: 'LE 5 left; S (14, 6) lb', frontName: 'Wide', weight: 1, seen: '' };
    expect(theirPlaces({ ...PLAN, looks: [...PLAN.looks, wide] }, SHIPPED_PLAYBOOK).at(-1)).toBe('S');
  });

  it('is nobody where nothing can be lined up, and looks without a play stand against the five', () => {
    expect(theirPlaces({ plays: [], looks: [] }, SHIPPED_PLAYBOOK)).toEqual([]);
    expect(theirPlaces({ ...PLAN, plays: [] }, SHIPPED_PLAYBOOK)).toHaveLength(7);
    const lost = { ...PLAN.looks[0]!, front: 'nothing at all' };
    expect(theirPlaces({ ...PLAN, looks: [lost] }, SHIPPED_PLAYBOOK)).toEqual([]);
    expect(theirPlaces({ ...PLAN, plays: [{ ...PLAN.plays[0]!, formation: '?' }] }, SHIPPED_PLAYBOOK)).toEqual([]);
  });

  it('is known by a number once, and by none where nobody has said one', () => {
    const he = { id: 'N', number: 98, note: '' };
    expect(theirManOf({ theirs: [he] }, 'N')).toEqual(he);
    expect(theirManOf({}, 'T')).toEqual({ id: 'T', number: null, note: '' });
    const plan = (theirs: unknown) => WeekPlanSchema.safeParse({ ...PLAN, theirs });
    expect([plan([he]).success, plan(undefined).success]).toEqual([true, true]);
    for (const wrong of [[he, he], [{ ...he, number: 100 }], [{ ...he, id: 'nobody' }]])
      expect(plan(wrong).success).toBe(false);
  });
});
