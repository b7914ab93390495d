import type { Marked } from './marked';
import type { Measure } from './measures';
import { spreadOf } from './spread';

/** What a mark says, apart from whose it is: of marks that say the same there are many. */
export type Said = Pick<
  Marked,
  | 'rubric'
  | 'assignment'
  | 'technique'
  | 'finish'
  | 'bothKept'
  | 'outcome'
  | 'film'
  | 'earned'
  | 'possible'
  | 'faults'
  | 'facts'
  | 'consequence'
  | 'phasesDone'
  | 'phasesNot'
>;

/** Everything possible was earned; `null` where nothing was. */
function allEarned({ earned, possible }: Said): boolean | null {
  const part = spreadOf(earned, possible);
  return part === 'open' ? null : part === 'all';
}

/** Whether a mark keeps what a measure counts; `null` where it cannot be told. */
export const KEPT: Readonly<Record<Measure, (said: Said) => boolean | null>> = {
  assignment: (said) => said.assignment,
  technique: (said) => said.technique,
  both: (said) => said.bothKept,
  finish: (said) => said.finish,
  outcome: (said) => said.outcome,
  film: (said) => said.film,
  score: allEarned,
  weighed: allEarned,
};

/** The dimensions of what marks say, and the values one stands under. */
export const VALUES_SAID = {
  phase: ({ phasesDone, phasesNot }: Said) => [...phasesDone, ...phasesNot],
  fault: ({ faults }: Said) => faults,
  fact: ({ facts }: Said) => facts,
  consequence: ({ consequence }: Said) => (consequence === null ? [] : [consequence]),
  earned: ({ earned, possible }: Said) => [spreadOf(earned, possible)],
  rubric: ({ rubric }: Said) => [rubric],
} as const satisfies Record<string, (said: Said) => readonly string[]>;
export type SaidDimension = keyof typeof VALUES_SAID;
export const isOfSaid = (by: string): by is SaidDimension => by in VALUES_SAID;
