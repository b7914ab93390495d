import { gistOf } from '../compare/gist';
import { identify } from '../identify/identify';
import { sayMovement } from '../language/lineups/read-movement';
import type { Call } from '../model/snap';
import { GENERAL_MOVES, type GeneralMove } from '../movement/menu';
import { workCall, type Ways } from '../calls/resolve-call';
import { hisIn } from './items';

/** The same call after they have moved, where that changes what he does. */
export interface Moved {
  readonly call: Call;
  /** What they do: "the line slants left". */
  readonly says: string;
}

/** A movement that gives this man somebody else to block, or `null` when none of the common ones does: the first of them from `from` on. */
export function movedFor(call: Call, seat: string, from: number, ways: Ways): Moved | null {
  const still = workCall(call, ways);
  if (!still.ok || still.value.front.movements.length > 0) return null;
  const { formation, front, resolution } = still.value;
  const mike = identify(formation, front, { side: call.side, settings: ways.settings }).mike.id;
  const names = Object.keys(GENERAL_MOVES) as GeneralMove[];
  for (let i = 0; i < names.length; i++) {
    const { name, of } = GENERAL_MOVES[names[(from + i) % names.length]!];
    const moves = of(front, mike);
    if (moves.length === 0) continue;
    const after = { ...call, front: [call.front, ...moves.map(sayMovement)].join('; ') };
    const worked = workCall(after, ways);
    if (!worked.ok) continue;
    const [was, is] = [hisIn(resolution, seat), hisIn(worked.value.resolution, seat)];
    if (is?.target != null && gistOf(was) !== gistOf(is) && was?.target !== is.target)
      return { call: after, says: name };
  }
  return null;
}
