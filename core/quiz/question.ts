import type { CallWords } from '../model/call-words';
import { QUIZ_PARTS, type QuizPart } from '../model/quiz';
import type { Resolution } from '../model/resolution';
import type { Side } from '../model/side';
import { hisIn } from './items';

/** The right answers for a man in a call, with what his rule says. */
export interface Expected {
  readonly whom: string;
  /** Everybody he has him with; empty when he is alone. */
  readonly with: readonly string[];
  /** Whom he goes on to; `null` when he stays. */
  readonly then: string | null;
  readonly foot: Side;
  /** The word he says; `null` when he says none: then it is not asked. */
  readonly call: string | null;
  readonly because: string;
  /** Sentences of his sheet that did not hold, with why. */
  readonly passedOver: readonly { readonly sentence: string; readonly reason: string }[];
}

/** What a man ought to say; `null` when he has nobody. */
export function expectedOf(resolution: Resolution, seat: string): Expected | null {
  const his = hisIn(resolution, seat);
  if (!his || his.target === null) return null;
  return {
    whom: his.target,
    with: his.partners,
    then: his.next,
    foot: his.step.foot,
    call: his.call,
    because: his.because.sentence,
    passedOver: his.because.passedOver.map(({ sentence, reason }) => ({ sentence, reason })),
  };
}

/** What he said so far. */
export interface Given {
  readonly whom?: string;
  readonly with?: readonly string[];
  readonly then?: string | null;
  readonly foot?: Side;
  readonly call?: string;
}

/** The parts that are asked, in their order: the call only where there is one, and never of who is asked in pictures alone. */
export const partsAsked = ({ call }: Expected, inPictures = false): QuizPart[] =>
  QUIZ_PARTS.filter((p) => p !== 'call' || (call !== null && !inPictures));

/** The part that is asked next; `null` once everything has been said. */
export const nextPart = (expected: Expected, given: Given, inPictures = false): QuizPart | null =>
  partsAsked(expected, inPictures).find((p) => given[p] === undefined) ?? null;

/** Each part that was said, right or not. */
export function judge(expected: Expected, given: Given): Partial<Record<QuizPart, boolean>> {
  const found: Partial<Record<QuizPart, boolean>> = {};
  for (const part of partsAsked(expected)) {
    if (given[part] === undefined) continue;
    found[part] =
      part === 'with'
        ? [...given.with!].sort().join() === [...expected.with].sort().join()
        : given[part] === expected[part];
  }
  return found;
}

/** Words to choose a call from: the right one among others that are said at the line, always in the same order. */
export function callChoices({ call }: Expected, words: CallWords, most = 4): string[] {
  if (call === null) return [];
  const others = [...new Set(Object.values(words))].filter((w) => w !== call);
  // Which others come does not give the right one away: they follow from it.
  const start = [...call].reduce((sum, letter) => sum + letter.charCodeAt(0), 0) % Math.max(1, others.length);
  const chosen = [...others.slice(start), ...others.slice(0, start)].slice(0, most - 1);
  return [call, ...chosen].sort((a, b) => a.localeCompare(b, 'en'));
}
