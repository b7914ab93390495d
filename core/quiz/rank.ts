import { isRight, keyOfItem, type QuizAnswer, type QuizItem, type QuizResult } from '../model/quiz';
import { shrunk } from '../statistics/shrink';
import type { Asked } from './items';

/** How often somebody who has never been asked is expected to know it; an assumption that his first answers outweigh. */
const EXPECTED = 0.6;

const NEVER: Rated = { good: 0, of: 0 };

/** How often something went right, of how many. */
export interface Rated {
  readonly good: number;
  readonly of: number;
}

/**
 * Which to ask first: how often it comes in the game, times how likely he would miss it: by his own answers and by what he did on film, and
 * by how much of it he has forgotten. `recall` is the chance that he still knows it, 0 to 1; `null` for what he was never asked.
 */
export function rankItems(
  items: readonly Asked[],
  answers: readonly QuizAnswer[],
  recall: (key: string) => number | null,
  onFilm: (item: QuizItem) => Rated = () => NEVER,
): Asked[] {
  const counts = new Map<string, Rated>();
  for (const a of answers) {
    const key = keyOfItem(a.item);
    const before = counts.get(key) ?? NEVER;
    counts.set(key, { good: before.good + (isRight(a) ? 1 : 0), of: before.of + 1 });
  }
  const weight = ({ item, times }: Asked): number => {
    const key = keyOfItem(item);
    const [said, did] = [counts.get(key) ?? NEVER, onFilm(item)];
    const knows = shrunk({ good: said.good + did.good, of: said.of + did.of }, EXPECTED);
    return times * (1 - knows * (recall(key) ?? EXPECTED));
  };
  return [...items].sort((a, b) => weight(b) - weight(a) || (keyOfItem(a.item) < keyOfItem(b.item) ? -1 : 1));
}

/** From so many men on, and from so large a share of misses on, it is not the men: the rule is unclear. */
const MEN = 3;
const MOST_MISS = 0.6;
/** Things to know that nearly everybody who was asked misses, the worst first: questions about the rule, not about the men. */
export const unclear = (results: readonly QuizResult[]): QuizResult[] =>
  results
    .filter((r) => r.men >= MEN && r.right <= (1 - MOST_MISS) * r.of)
    .sort((a, b) => a.right / a.of - b.right / b.of || b.of - a.of);
