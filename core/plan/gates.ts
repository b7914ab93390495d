import type { PracticeWays } from '../model/practice';
import type { QuizResult } from '../model/quiz';
import { isSamePlay, type PlannedPlay } from '../model/week-plan';
import { repsSoFar, type Count, type Practised } from './reps-so-far';
import { TOO_FEW } from '../statistics/rate';

/** What has to be there before a play goes into the game, and how it stands. */
export interface Gate {
  readonly quiz: Count;
  readonly reps: Count;
  /** `open` while there is too little to say; `none` where the coach has set no gate. */
  readonly state: 'reached' | 'not reached' | 'open' | 'none';
}

/** How a play stands before the gate the program has set: its quiz over all looks and places, and its reps as they were marked. */
export function gateOf(
  play: Pick<PlannedPlay, 'scheme' | 'side' | 'tags'>,
  results: readonly QuizResult[],
  practised: Practised,
  { gateQuiz, gateReps }: Pick<PracticeWays, 'gateQuiz' | 'gateReps'>,
): Gate {
  const asked = results.filter((r) => isSamePlay(play, r.item));
  const quiz = { good: sum(asked.map((r) => r.right)), of: sum(asked.map((r) => r.of)) };
  const reps = repsSoFar(play, practised);
  const states = [stateOf(quiz, gateQuiz), stateOf(reps, gateReps)];
  const state = (['not reached', 'open', 'reached'] as const).find((s) => states.includes(s)) ?? 'none';
  return { quiz, reps, state };
}

const sum = (all: readonly number[]): number => all.reduce((a, b) => a + b, 0);

function stateOf({ good, of }: Count, asked: number | null): Gate['state'] {
  if (asked === null) return 'none';
  if (of < TOO_FEW) return 'open';
  return good / of >= asked ? 'reached' : 'not reached';
}

/** How it stands in a sentence: the counts, and the advice where a gate is set. */
export function sayGate({ quiz, reps, state }: Gate): string {
  const count = (name: string, { good, of }: Count, none: string): string =>
    of === 0 ? none : `${name} ${good} of ${of}`;
  const counts = `${count('quiz', quiz, 'no quiz yet')}, ${count('reps', reps, 'no reps yet')}`;
  if (state === 'not reached') return `${counts}: cut it, or teach it once more`;
  if (state === 'open') return `${counts}: too few to say`;
  return state === 'reached' ? `${counts}: it may go into the game` : counts;
}
