import type { BlockId } from '../../vocabulary/index';
import type { Proposal } from '../../vocabulary/scene';
import type { SeatedCall } from '../prepare/seat-call';
import type { CompiledSentence } from '../prepare/sentence';
import type { OpenScene } from './set-scene';

/** What settling the first level leaves behind: enough to explain every choice, without saying any of it yet. */
export interface Settled {
  readonly scene: OpenScene;
  readonly call: SeatedCall;
  /** Each man's sentences, in the order he tries them. */
  readonly sheets: readonly (readonly CompiledSentence[])[];
  /** For each man, his refused sentences and the partner who could not come. */
  readonly refusals: readonly ReadonlyMap<number, number>[];
  /** Men who settled on the nearest man because none of their sentences could stand. */
  readonly fallbacks: readonly number[];
  /** Line of the scheme's "bump"; 0 where nobody bumps. */
  readonly bumpLine: number;
  /** The ball is snapped: who pulls, pulls. */
  readonly snapped: boolean;
  /** What a man does who takes somebody by himself whom his own sentence did not give him. */
  readonly lone: BlockId;
  /** What men proposed by their own sentences who do something else now. */
  readonly own: (Proposal | undefined)[];
  /** Men whose sentences chased each other. */
  readonly cycle: readonly number[];
}
