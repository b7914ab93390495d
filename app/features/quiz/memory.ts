import { createEmptyCard, fsrs, Rating, type Card } from 'ts-fsrs';
import { isRight, keyOfItem, type QuizAnswer } from '#core/model/quiz';

/** Slower than this a right answer was hard, seconds. */
const SLOW = 12;

/**
 * How likely each thing is still known at a moment: every answer in its turn goes through the scheduler, which says how fast what was learnt
 * is forgotten. `null` for what was never asked.
 */
export function recallAt(answers: readonly QuizAnswer[], now: Date): (key: string) => number | null {
  const scheduler = fsrs({ enable_fuzz: false });
  const cards = new Map<string, Card>();
  for (const answer of [...answers].sort((a, b) => (a.at < b.at ? -1 : 1))) {
    const key = keyOfItem(answer.item);
    const at = new Date(answer.at);
    const rating = !isRight(answer) ? Rating.Again : answer.seconds > SLOW ? Rating.Hard : Rating.Good;
    cards.set(key, scheduler.next(cards.get(key) ?? createEmptyCard(at), at, rating).card);
  }
  return (key) => {
    const card = cards.get(key);
    return card ? scheduler.get_retrievability(card, now, false) : null;
  };
}
