import { describe, expect, it } from 'vitest';
import { SHIPPED_PLAYBOOK } from '../calls/playbook';
import { workCall, type Ways } from '../calls/resolve-call';
import { gistOf } from '../compare/gist';
import { SHIPPED_CALL_WORDS } from '../model/call-words';
import { keyOfItem, QuizAnswerSchema, type QuizAnswer, type QuizResult } from '../model/quiz';
import type { WeekPlan } from '../model/week-plan';
import { need } from '../testing/need';
import { hisIn, itemsOf } from './items';
import { movedFor } from './moved';
import {
  callChoices,
  expectedOf,
  judge,
  nextPart,
  partsAsked,
  sentenceChoices,
  type Expected,
  type Given,
} from './question';
import { rankItems, unclear } from './rank';

const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';
const play = (scheme: string, formation: string, times: number) => ({
  ...{ scheme, side: 'right' as const, tags: [], formation, formationName: scheme, times },
});
const PLAN: WeekPlan = {
  quiz: true,
  plays: [
    play('power', 'LT LG C RG RT; H right; B left', 6),
    play('duo', 'LT LG C RG RT Y right; B left', 4),
    play('no-such-play', 'LT LG C RG RT; B left', 9),
  ],
  looks: [
    { front: OVER, frontName: 'Over', weight: 3, seen: '' },
    { front: 'LE 5 left; N 0; RE 5 right; W 20 left; M 20 right', frontName: 'Odd', weight: 1, seen: '' },
  ],
};
const WAYS: Ways = { playbook: SHIPPED_PLAYBOOK };
const ITEMS = itemsOf(PLAN, ['C', 'RG', 'H'], WAYS);

describe('what a man is quizzed on', () => {
  it('is every call of the plan in which his place has somebody, as often as it comes', () => {
    expect(ITEMS.map((i) => `${i.item.scheme} ${i.item.frontName} ${i.item.seat}`)).toEqual([
      ...['power Over C', 'power Over RG', 'power Over H', 'power Odd C', 'power Odd RG', 'power Odd H'],
      ...['duo Over C', 'duo Over RG', 'duo Odd C', 'duo Odd RG'],
    ]);
    expect(ITEMS[0]!.times).toBeCloseTo(4.5, 9);
    expect(itemsOf({ ...PLAN, looks: [] }, ['C'], WAYS)).toEqual([]);
  });

  it('expects what the engine asks of him, part by part', () => {
    for (const { call, item } of ITEMS) {
      const { resolution } = need(workCall(call, WAYS));
      const his = hisIn(resolution, item.seat)!;
      const expected = expectedOf(resolution, item.seat)!;
      expect(expected).toMatchObject({ whom: his.target, with: his.partners, then: his.next, foot: his.step.foot });
      expect(expected.because).toBe(his.because.sentence);
      // A tag nobody has called is no sentence to choose.
      const couldHold = his.because.passedOver.filter((p) => !/is not called$/.test(p.reason));
      expect(expected.passedOver.map((p) => p.sentence)).toEqual(couldHold.map((p) => p.sentence));
      expect(expected.passedOver.some((p) => /^when tag \S+ is on/.test(p.sentence))).toBe(false);
      const given = {
        ...{ ...expected, call: expected.call ?? undefined },
        ...{ shoulder: expected.shoulder ?? undefined, why: expected.because },
      };
      expect(Object.values(judge(expected, given)).every(Boolean)).toBe(true);
    }
    const { resolution } = need(workCall(ITEMS[0]!.call, WAYS));
    expect(expectedOf(resolution, 'QB')).toBeNull();
  });
});

describe('an answer', () => {
  const expected: Expected = {
    ...{ whom: 'T', with: ['RT'], then: 'W', foot: 'right', shoulder: 'outside', head: 'inside', call: 'Deuce' },
    ...{ because: 'RG: double on T', passedOver: [{ sentence: 'RG: down on a 1', reason: '' }] },
  };
  it('is asked in its order, shoulder, call and sentence only where there is one to say', () => {
    const ALL = ['whom', 'with', 'then', 'foot', 'shoulder', 'call', 'why'];
    expect(partsAsked(expected)).toEqual(ALL);
    expect(partsAsked({ ...expected, call: null, shoulder: null, passedOver: [] })).toEqual(ALL.slice(0, 4));
    expect(partsAsked(expected, true)).toEqual(ALL.slice(0, 4));
    expect(nextPart(expected, {})).toBe('whom');
    const most: Given = { whom: 'T', with: [], then: null, shoulder: 'inside', call: 'Ace', why: '' };
    expect(nextPart(expected, most)).toBe('foot');
    expect(nextPart(expected, { ...most, foot: 'left' })).toBeNull();
  });

  it('is judged part by part; partners in whatever order', () => {
    const two = { ...expected, with: ['RT', 'Y'] };
    expect(judge(two, { whom: 'T', with: ['Y', 'RT'], then: null, foot: 'left', call: 'Deuce' })).toEqual({
      ...{ whom: true, with: true, then: false, foot: false, call: true },
    });
    expect(judge(expected, { whom: 'N' })).toEqual({ whom: false });
    expect(judge(expected, { shoulder: 'inside', why: 'RG: double on T' })).toEqual({ shoulder: false, why: true });
    expect(judge(expected, { shoulder: 'outside', why: 'RG: down on a 1' })).toEqual({ shoulder: true, why: false });
  });

  it('has sentences to choose from: his own and those that were passed over, the nearest before it, each once', () => {
    const over = (sentence: string) => ({ sentence, reason: '' });
    const choices = (passed: string[]): string[] => sentenceChoices({ because: 'right', passedOver: passed.map(over) });
    expect(choices(['b', 'a'])).toEqual(['a', 'b', 'right']);
    expect(choices(['x', 'a', 'right', 'b', 'a', 'c'])).toEqual(['a', 'b', 'c', 'right']);
  });

  it('has calls to choose from that are said at the line, the right one among them, always the same', () => {
    const choices = callChoices({ ...expected, call: Object.values(SHIPPED_CALL_WORDS)[2]! }, SHIPPED_CALL_WORDS);
    expect(choices).toContain(Object.values(SHIPPED_CALL_WORDS)[2]);
    expect(new Set(choices).size).toBe(4);
    expect(callChoices({ ...expected, call: null }, SHIPPED_CALL_WORDS)).toEqual([]);
  });
});

describe('when they move', () => {
  it('he has somebody else, or he is not asked again', () => {
    let asked = 0;
    for (const { call, item } of ITEMS)
      for (let from = 0; from < 7; from++) {
        const moved = movedFor(call, item.seat, from, WAYS);
        if (!moved) continue;
        asked++;
        const [was, is] = [call, moved.call].map((c) => hisIn(need(workCall(c, WAYS)).resolution, item.seat));
        expect(is!.target).not.toBe(was!.target);
        expect(gistOf(is)).not.toBe(gistOf(was));
        expect(moved.says.length).toBeGreaterThan(5);
      }
    expect(asked).toBeGreaterThan(10);
    expect(movedFor({ ...ITEMS[0]!.call, front: `${OVER}; T slant left` }, 'C', 0, WAYS)).toBeNull();
  });
});

describe('what is asked first', () => {
  const answer = (at: number, right: boolean): QuizAnswer =>
    QuizAnswerSchema.parse({
      ...{ id: '00000000-0000-4000-8000-000000000000', item: ITEMS[at]!.item, parts: { whom: right } },
      ...{ seconds: 4, at: '2026-11-25T10:00:00.000Z' },
    });
  const first = (answers: QuizAnswer[], recall: (key: string) => number | null = () => null): string =>
    keyOfItem(rankItems(ITEMS, answers, recall)[0]!.item);

  it('is what comes most often, then what he misses, then what he has forgotten', () => {
    expect(first([])).toBe(keyOfItem(ITEMS[0]!.item));
    const wrong = Array.from({ length: 6 }, () => answer(1, false));
    const right = Array.from({ length: 6 }, () => answer(0, true));
    expect(first([...wrong, ...right])).toBe(keyOfItem(ITEMS[1]!.item));
    const knows = keyOfItem(ITEMS[0]!.item);
    expect(first([], (key) => (key === knows ? 1 : 0.1))).not.toBe(knows);
  });

  it('keeps everything in the list, each once', () => {
    const ranked = rankItems(ITEMS, [answer(3, false)], () => 0.5);
    expect(ranked.map((r) => keyOfItem(r.item)).sort()).toEqual(ITEMS.map((i) => keyOfItem(i.item)).sort());
  });
});

describe('an unclear rule', () => {
  const result = (men: number, of: number, right: number): QuizResult => ({
    item: ITEMS[0]!.item,
    men,
    of,
    right,
    missed: {},
    film: { of: 0, same: 0 },
  });
  it('is what several men nearly all miss, not what one does', () => {
    const all = [result(1, 9, 0), result(3, 5, 2), result(4, 10, 1), result(5, 10, 8), result(3, 5, 3)];
    expect(unclear(all)).toEqual([result(4, 10, 1), result(3, 5, 2)]);
  });
});
