import type { BlockId } from '../../vocabulary/index';
import type { Proposal } from '../../vocabulary/scene';
import type { SeatedCall } from '../prepare/seat-call';
import type { CompiledSentence } from '../prepare/sentence';
import type { Choices, OpenScene } from './set-scene';

/** What settling the first level leaves behind: enough to explain every choice, without saying any of it yet. */
export interface Settled {
  readonly scene: OpenScene;
  /** Everybody's choice as he made it by his own sentences, before anybody moved over: what reasons are read from. */
  readonly chosen: Choices;
  readonly call: SeatedCall;
  /** Each man's sentences, in the order he tries them. */
  readonly sheets: readonly (readonly CompiledSentence[])[];
  /** For each man, his refused sentences and the partner who could not come. */
  readonly refusals: readonly ReadonlyMap<number, number>[];
  /** Men who settled on the nearest man because none of their sentences could stand. */
  readonly fallbacks: readonly number[];
  /** Line of the scheme's "bump"; 0 where nobody bumps. */
  readonly bumpLine: number;
  /** What binds the men once the ball is snapped; `null` before. */
  readonly bound: Bound | null;
  /** What a man does who takes somebody by himself whom his own sentence did not give him. */
  readonly lone: BlockId;
  /** What men proposed by their own sentences who do something else now. */
  readonly own: (Proposal | undefined)[];
  /** Men whose sentences chased each other. */
  readonly cycle: readonly number[];
}

/** What binds a man after the snap when his rules are read again. */
export interface Bound {
  /** Already decided: by a follow-up, or because it was decided before the snap. */
  readonly fixed: readonly (Proposal | null)[];
  /** Whom a man runs to who has a job rather than a man, as the others stand now; `null` for everybody else. Asked in every round. */
  readonly running: (man: number) => Proposal | null;
  /** May he use this sentence? Nobody starts or stops pulling once the ball is snapped. */
  readonly mayUse: (man: number, sentence: CompiledSentence, index: number) => boolean;
  /** Is this defender bound to another man, so that nobody takes him unasked? */
  readonly isHad: (man: number, defender: number) => boolean;
  /** What he does when none of those finds anybody. */
  readonly keeps: (man: number) => Proposal;
}
