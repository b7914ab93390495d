import { identify } from '../identify/identify';
import { sayMovement } from '../language/lineups/read-movement';
import { schemeFrom } from '../library/library';
import type { Verdict } from '../model/resolution';
import type { Settings } from '../model/settings';
import type { Side } from '../model/side';
import { GENERAL_MOVES, type GeneralMove } from '../movement/menu';
import { workPlay } from '../movement/play';
import { explainFault } from '../resolve/judge/judge';
import { prepareCall } from '../resolve/prepare/prepare-call';
import { Playbook, type OwnText } from './playbook';

/** One play called from a formation: by its id, or by the text it is being written as. */
export interface AnswerCall {
  readonly scheme: { readonly id: string } | { readonly text: string };
  readonly formation: string;
  readonly side: Side;
  readonly tags: readonly string[];
  readonly without: readonly string[];
}

/** Plays against fronts, as plain data, so that it can cross to a worker: every call against every front. */
export interface AnswersJob {
  readonly own: readonly OwnText[];
  readonly settings: Settings;
  readonly calls: readonly AnswerCall[];
  /** Ids. */
  readonly fronts: readonly string[];
  /** What every front does after the snap; `null` when they stand still. */
  readonly move: GeneralMove | null;
}

export interface FrontAnswer {
  readonly call: number;
  readonly front: string;
  /** The movements, as they are written. */
  readonly moves: string;
  readonly verdict: Verdict;
  /** What is wrong, in one line; empty when nothing is. */
  readonly sentence: string;
}

/** Works a job out one answer at a time; what cannot be read is left out. */
export function* answerAll({ own, settings, calls, fronts, move }: AnswersJob): Generator<FrontAnswer> {
  const book = new Playbook(own, settings);
  for (const [call, { scheme, formation, side, tags, without }] of calls.entries()) {
    const [compiled, men] = [
      'id' in scheme ? book.scheme(scheme.id) : schemeFrom(scheme.text),
      book.formation(formation),
    ];
    if (!compiled.ok || !men.ok) continue;
    const prepared = prepareCall(compiled.value, men.value, { side, tags, without, settings });
    for (const id of fronts) {
      const front = book.front(id, men.value, settings);
      if (!front.ok) continue;
      const mike = (): string | null => identify(men.value, front.value, { side, settings }).mike.id;
      const moves = move === null ? [] : GENERAL_MOVES[move].of(front.value, mike());
      const theirs = { ...front.value, movements: [...front.value.movements, ...moves] };
      const { outcome, judgement } = workPlay(prepared, theirs);
      yield {
        call,
        front: id,
        moves: moves.map(sayMovement).join(','),
        verdict: judgement.verdict,
        sentence: judgement.faults.map((fault) => explainFault(outcome, fault).message).join(' '),
      };
    }
  }
}
