import { describe, expect, it } from 'vitest';
import { workCall } from '../calls/resolve-call';
import { PLAN, WAYS } from '../testing/a-week-paper';
import { need } from '../testing/need';
import { cardOfPlay, likeliestLook } from './pocket-cards';

describe('a pocket card', () => {
  it('is of the likeliest look, the first of those alike, and of none before there are looks', () => {
    expect(likeliestLook(PLAN)!.frontName).toBe('Over');
    expect(likeliestLook({ looks: PLAN.looks.map((l) => ({ ...l, weight: 1 })) })!.frontName).toBe('Odd');
    expect(likeliestLook({ looks: [] })).toBeNull();
  });

  it('says whom he has there, and nothing where he has nobody or the play is not there', () => {
    const card = cardOfPlay(PLAN, 0, 'RT', WAYS)!;
    const { resolution } = need(workCall({ ...PLAN.plays[0]!, ...PLAN.looks[1]!, overrides: {} }, WAYS));
    expect(card.has).toContain(resolution.assignments.find((a) => a.blocker === 'RT')!.target);
    expect(card.rows.length).toBeGreaterThan(3);
    expect(cardOfPlay(PLAN, 0, 'QB', WAYS)).toBeNull();
    expect(cardOfPlay(PLAN, 9, 'RT', WAYS)).toBeNull();
    expect(cardOfPlay({ ...PLAN, looks: [] }, 0, 'RT', WAYS)).toBeNull();
  });
});
