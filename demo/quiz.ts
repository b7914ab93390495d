import { chance } from './cameras/random';
import type { Asked } from '#core/quiz/items';
import { QuizAnswerSchema, type QuizAnswer } from '#core/model/quiz';
import { partsAsked, type Expected } from '#core/quiz/question';

/** How many of his places a man answers for, and what share of what he is asked there. */
const PLACES = 2;
const ANSWERED = 0.4;
/** How sure a man is of a part, and of the one play that nobody has understood. */
const KNOWN = 0.98;
const NOT_UNDERSTOOD = { scheme: 'counter-gt', part: 'whom', known: 0.2 } as const;

/**
 * What the Lanterns have answered on their phones so far: some of them, some of it, mostly right, and one rule nearly everybody gets wrong.
 * The same every time for a number on a back.
 */
export function answersOf(
  number: number,
  places: readonly string[],
  items: readonly Asked[],
  expected: (asked: Asked) => Expected | null,
  at: Date,
): Omit<QuizAnswer, 'id'>[] {
  const next = chance(number);
  const his = items.filter((i) => places.slice(0, PLACES).includes(i.item.seat) && next() < ANSWERED);
  return his.flatMap((asked, i) => {
    const right = expected(asked);
    if (!right) return [];
    const { scheme, part, known } = NOT_UNDERSTOOD;
    const parts = Object.fromEntries(
      partsAsked(right).map((p) => [p, next() < (asked.item.scheme === scheme && p === part ? known : KNOWN)]),
    );
    const minutes = his.length - i;
    const body = {
      ...{ item: asked.item, parts, seconds: Math.round(6 + 20 * next()) },
      at: new Date(at.getTime() - minutes * 60_000).toISOString(),
    };
    return [QuizAnswerSchema.omit({ id: true }).parse(body)];
  });
}
