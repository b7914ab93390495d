import { atLeast, atMost, lessThan, moreThan } from '../geometry/compare';
import { HEAD_UP, TURN_BACK } from '../geometry/tolerances';
import { hasOwner } from '../vocabulary/finding';
import { NOBODY, type Change, type Proposal, type Scene } from '../vocabulary/scene';
import type { ManOutcome } from '../resolve/allot/outcome';
import { onto } from '../resolve/prepare/proposals';

/** How far beside the way from his place to the hole somebody still shows in a runner's path, feet. */
const PATH = 2;
/** The last contain man stands no farther outside the last blocker than this, feet. */
const CONTAIN = 8;

/**
 * A kick, trap or log is a job: it takes the next man to show there. The man it was for, wherever he squeezes, unless somebody's own rule
 * washes him or he has looped away behind whoever was to run to him, for nobody turns back; then, from the hole outward, the next man on the
 * line, whoever has moved to that edge or dropped off it, the most playside linebacker.
 * A lead, wrap or skip to a linebacker meets whoever runs through in its path first; otherwise it goes by its own words again (`null`).
 */
export function jobAfter(change: Change, m: ManOutcome, hole: number): Proposal | null {
  const was = change.before.proposals[m.man]!;
  const wasUpFront = m.target !== NOBODY && change.before.defenders[m.target]!.level === 1;
  const through = wasUpFront && !m.pull ? NOBODY : throughTheHole(change, m, hole);
  const found = through === NOBODY && wasUpFront ? nextToShow(change, m, hole) : through;
  return found === NOBODY ? null : onto(was, was.him, found);
}

const isFree = (scene: Scene, man: number, d: number): boolean => !hasOwner(scene, man, d);

function nextToShow({ before, after, nowAt }: Change, { man, target }: ManOutcome, hole: number): number {
  const own = nowAt[target]!;
  const out = before.defenders[target]!.x < 0 ? -1 : 1;
  const from = out > 0 ? hole : -Math.abs(hole);
  const x = (d: number): number => after.defenders[d]!.x * out;
  const isBehind = (d: number): boolean => lessThan(x(d), Math.min(after.men[man]!.x * out - TURN_BACK, 0));
  if (after.defenders[own]!.level === 1 && !isBehind(own) && isFree(after, man, own)) return own;
  const outward = [...after.first].sort((a, b) => x(a) - x(b));
  const onLine = outward.find((d) => moreThan(x(d), from * out - HEAD_UP) && isFree(after, man, d));
  if (onLine !== undefined) return onLine;
  const edge = after.men[out > 0 ? after.lineCount - 1 : 0]!.x * out;
  const came = before.defenders.find((d) => {
    const now = after.defenders[nowAt[d.index]!]!;
    return (
      now.level === 2 &&
      moreThan(x(now.index), edge) &&
      moreThan(x(now.index), d.x * out) &&
      isFree(after, man, now.index)
    );
  });
  if (came) return nowAt[came.index]!;
  if (after.defenders[own]!.level === 2 && moreThan(x(own), edge) && isFree(after, man, own)) return own;
  const backers = out > 0 ? after.linebackers : [...after.linebackers].reverse();
  return backers.find((d) => !isBehind(d) && isFree(after, man, d)) ?? NOBODY;
}

/** Who has come through to the line in a runner's path: his own man before anybody else, and nobody whom another man was to run to. */
function throughTheHole({ before, after, nowAt, had }: Change, { man, target }: ManOutcome, hole: number): number {
  const nose = after.men[man]!.x;
  const [lo, hi] = [Math.min(nose, hole) - PATH, Math.max(nose, hole) + PATH];
  const came = before.defenders.filter((d) => {
    const { level, x } = after.defenders[nowAt[d.index]!]!;
    const isOthers = had.some((his, mate) => mate !== man && his === d.index && before.proposals[mate]!.pulls);
    // His own man he meets wherever he comes, unless he would have to turn back for him.
    const inPath = atLeast(x, lo) && (atMost(x, hi) || d.index === target);
    return d.level > 1 && level === 1 && inPath && !isOthers && isFree(after, man, nowAt[d.index]!);
  });
  const first = came.find((d) => d.index === target) ?? came[0];
  return first ? nowAt[first.index]! : NOBODY;
}

/**
 * The read is a job as well: once the man who was read has gone inside, whoever is the last contain man on the back side is read. -1 where
 * it stays the same man.
 */
export function readAfter({ before, after, nowAt }: Change, read: number): number {
  const last = after.men[0]!;
  const now = after.defenders[nowAt[read]!]!;
  if (!moreThan(now.x, last.x + HEAD_UP) || moreThan(before.defenders[read]!.x, last.x + HEAD_UP)) return NOBODY;
  const contain = after.defenders.filter(
    (d) => d.level < 3 && atMost(d.x, last.x + HEAD_UP) && moreThan(d.x, last.x - CONTAIN) && d.index !== now.index,
  );
  return contain.length === 0 ? NOBODY : contain.reduce((a, b) => (b.x < a.x ? b : a)).index;
}
