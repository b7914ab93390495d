import { describe, expect, it } from 'vitest';
import { SHIPPED_PLAYBOOK } from '#core/calls/playbook';
import { workCall } from '#core/calls/resolve-call';
import { LINE_SEATS } from '#core/model/formation';
import { QuizAnswerSchema } from '#core/model/quiz';
import { itemsOf, type Asked } from '#core/quiz/items';
import { expectedOf } from '#core/quiz/question';
import { answersOf } from './quiz';
import { DEMO_PLAN } from './week';

const WAYS = { playbook: SHIPPED_PLAYBOOK };
const ITEMS = itemsOf(DEMO_PLAN, LINE_SEATS, WAYS);
const expected = ({ item, call }: Asked) => {
  const worked = workCall(call, WAYS);
  return worked.ok ? expectedOf(worked.value.resolution, item.seat) : null;
};
const AT = new Date('2026-11-26T21:00:00Z');
const of = (number: number, places: string[]) => answersOf(number, places, ITEMS, expected, AT);

describe('what the Lanterns have answered', () => {
  it('is some of what is asked of their first two places, before the hour given, the same every time', () => {
    const his = of(61, ['RG', 'LG', 'C']);
    expect(his).toEqual(of(61, ['RG', 'LG', 'C']));
    expect(his).not.toEqual(of(64, ['RG', 'LG', 'C']));
    expect(new Set(his.map((a) => a.item.seat))).toEqual(new Set(['RG', 'LG']));
    const asked = ITEMS.filter((i) => ['RG', 'LG'].includes(i.item.seat)).length;
    expect(his.length).toBeGreaterThan(0.2 * asked);
    expect(his.length).toBeLessThan(0.6 * asked);
    for (const a of his) {
      expect(QuizAnswerSchema.safeParse({ ...a, id: '00000000-0000-4000-8000-000000000000' }).success).toBe(true);
      expect(new Date(a.at).getTime()).toBeLessThan(AT.getTime());
    }
    expect(of(61, [])).toEqual([]);
  });

  it('is mostly right, but for the one play nearly everybody gets wrong', () => {
    const all = Array.from({ length: 12 }, (_, i) => of(60 + i, ['RG', 'RT'])).flat();
    const right = (among: typeof all): number => among.filter((a) => a.parts.whom).length / among.length;
    expect(right(all.filter((a) => a.item.scheme === 'counter-gt'))).toBeLessThan(0.4);
    expect(right(all.filter((a) => a.item.scheme !== 'counter-gt'))).toBeGreaterThan(0.85);
  });
});
