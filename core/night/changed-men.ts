import { gistOf } from '../compare/gist';
import type { Assignment } from '../model/resolution';
import type { Call } from '../model/snap';
import { workCall, type WorkedCall, type Ways } from '../calls/resolve-call';

/** A man who does something else now, and by which sentence. */
export interface ChangedMan {
  readonly seat: string;
  readonly was: Assignment | null;
  readonly is: Assignment | null;
}

/** One call against two pictures: who does something else, in line order, and what comes of the call now. */
export interface Changed {
  readonly men: readonly ChangedMan[];
  readonly before: WorkedCall;
  readonly now: WorkedCall;
}

/** What changes for whom when they show another picture; `null` when either cannot be lined up. */
export function changedMen(call: Call, front: Pick<Call, 'front' | 'frontName'>, ways: Ways): Changed | null {
  const [before, now] = [workCall(call, ways), workCall({ ...call, ...front }, ways)];
  if (!before.ok || !now.ok) return null;
  const of = ({ resolution }: WorkedCall, seat: string): Assignment | null =>
    resolution.assignments.find((a) => a.blocker === seat) ?? null;
  const seats = [...before.value.formation.men].sort((a, b) => a.x - b.x).map((m) => m.id);
  const men = seats
    .map((seat) => ({ seat, was: of(before.value, seat), is: of(now.value, seat) }))
    .filter(({ was, is }) => gistOf(was) !== gistOf(is));
  return { men, before: before.value, now: now.value };
}
