import type { CallWords } from '../model/call-words';
import { QUIZ_PARTS, type QuizPart } from '../model/quiz';
import type { Resolution } from '../model/resolution';
import type { Side } from '../model/side';
import { shoulderOf, type Shoulder } from '../reports/shoulder';
import { NOT_CALLED } from '../vocabulary/conditions/tag-on';
import { hisIn } from './items';

/** The right answers for a man in a call, with what his rule says. */
export interface Expected {
  readonly whom: string;
  /** Everybody he has him with; empty when he is alone. */
  readonly with: readonly string[];
  /** Whom he goes on to; `null` when he stays. */
  readonly then: string | null;
  readonly foot: Side;
  /** The shoulder he strikes with; `null` where it is neither: then it is not asked. */
  readonly shoulder: Shoulder | null;
  /** Where that puts his head, as it is said to him. */
  readonly head: string;
  /** The word he says; `null` when he says none: then it is not asked. */
  readonly call: string | null;
  readonly because: string;
  /** Sentences of his sheet that could have held in this call and did not, with why: those of tags it does not carry are nobody's mistake. */
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
    shoulder: shoulderOf(his, resolution),
    head: his.technique?.head ?? 'none',
    call: his.call,
    because: his.because.sentence,
    passedOver: his.because.passedOver
      .filter(({ reason }) => !reason.endsWith(NOT_CALLED))
      .map(({ sentence, reason }) => ({ sentence, reason })),
  };
}

/** What he said so far. */
export interface Given {
  readonly whom?: string;
  readonly with?: readonly string[];
  readonly then?: string | null;
  readonly foot?: Side;
  readonly shoulder?: Shoulder;
  readonly call?: string;
  readonly why?: string;
}

/** Parts that are only asked where there is something to say. */
const HAS: Partial<Record<QuizPart, (expected: Expected) => boolean>> = {
  shoulder: ({ shoulder }) => shoulder !== null,
  call: ({ call }) => call !== null,
  why: ({ passedOver }) => passedOver.length > 0,
};
/** Parts that are words and nothing else. */
const IN_WORDS: readonly QuizPart[] = ['shoulder', 'call', 'why'];

/** The parts that are asked, in their order; of who is asked in pictures alone nothing that is words. */
export const partsAsked = (expected: Expected, inPictures = false): QuizPart[] =>
  QUIZ_PARTS.filter((p) => (HAS[p]?.(expected) ?? true) && !(inPictures && IN_WORDS.includes(p)));

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
        : given[part] === (part === 'why' ? expected.because : expected[part]);
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

/** Sentences to choose the one from that he goes by: with it those of his sheet that came before it and did not hold. */
export function sentenceChoices({ because, passedOver }: Pick<Expected, 'because' | 'passedOver'>, most = 4): string[] {
  const others = [...new Set(passedOver.map((p) => p.sentence))].filter((s) => s !== because);
  return [because, ...others.slice(1 - most)].sort((a, b) => a.localeCompare(b, 'en'));
}
