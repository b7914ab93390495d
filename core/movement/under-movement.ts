import type { Formation } from '../model/formation';
import type { Front } from '../model/front';
import type { Verdict } from '../model/resolution';
import { sayMovement } from '../language/lineups/read-movement';
import { faultKey, type Worked } from '../resolve/judge/judge';
import type { Prepared } from '../resolve/prepare/prepare-call';
import { describeMovement, movementMenu } from './menu';
import { workPlay } from './play';

/** One thing a front can do after the snap, and what it does to a call. */
export interface MovedVerdict {
  /** As it is written, and as a coach says it. */
  readonly said: string;
  readonly name: string;
  readonly verdict: Verdict;
  /** Something goes wrong that is right as they stand. */
  readonly adds: boolean;
}

export interface UnderMovement {
  readonly still: Verdict;
  readonly groups: readonly { readonly name: string; readonly moves: readonly MovedVerdict[] }[];
}

/** A call against every movement a front can make, whatever movements it carries left out. */
export function underMovement(prepared: Prepared, formation: Formation, front: Front): UnderMovement {
  const faultsOf = ({ outcome, judgement }: Worked): string[] =>
    judgement.faults.map((fault) => faultKey(outcome, fault));
  const still = workPlay(prepared, { ...front, movements: [] });
  const known = faultsOf(still);
  const groups = movementMenu(front, formation).map((group) => ({
    name: group.name,
    moves: group.moves.map((m): MovedVerdict => {
      const moved = workPlay(prepared, { ...front, movements: [m] });
      return {
        said: sayMovement(m),
        name: describeMovement(m),
        verdict: moved.judgement.verdict,
        adds: faultsOf(moved).some((f) => !known.includes(f)),
      };
    }),
  }));
  return { still: still.judgement.verdict, groups };
}
