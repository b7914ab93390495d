import type { FaultId } from '../../model/faults';
import type { Phase } from '../../model/phases';

/** What is looked for in one part of a block; of a pair the man nearer the ball and the other one may be asked different things. */
export type PhaseWords = string | { readonly inner: string; readonly outer: string };

/** How one block is graded: what counts as success for that block and no other, and what is looked for in each of its parts. */
export interface BlockSheet {
  readonly doneWhen: string;
  readonly notWhen: string;
  /** Faults this block is prone to, likeliest first: the ones offered on keys. */
  readonly faults: readonly FaultId[];
  /** In the order in which they happen; a block has only the parts it really has. */
  readonly phases: Partial<Record<Phase, PhaseWords>>;
}
