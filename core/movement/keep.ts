import { moreThan } from '../geometry/compare';
import { NOBODY, type Change } from '../vocabulary/scene';
import { isBeside } from '../vocabulary/targets/man-beside';
import type { Outcome } from '../resolve/allot/outcome';

/**
 * Whom every man keeps who had somebody on the line before the snap, as indices of the picture after it; -1 for nobody. Men keep their
 * own, wherever those go: a man rides his by the near hip. They part only so: two neighbours whose men have crossed pass them off; and a
 * zone lineman lets his man go to the neighbour into whose part of the line he has come, if that one has a hand free.
 */
export function keptMen(before: Outcome, { before: was, after, nowAt }: Change): number[] {
  const kept = was.men.map(() => NOBODY);
  for (const m of before.men) {
    if (m.target === NOBODY || was.defenders[m.target]!.level > 1 || runsTo(before, m.man)) continue;
    const now = nowAt[m.target]!;
    if (after.defenders[now]!.level === 1) kept[m.man] = now;
  }
  passOff(kept, before, after);
  const { track } = before.settled.call.scheme.head;
  letGo(kept, before, after, track === 'zone' || track === 'wide zone');
  return kept;
}

/** A puller, kick or lead has a job and no man of his own. */
export const runsTo = ({ men }: Outcome, man: number): boolean => {
  const m = men.find((o) => o.man === man);
  return m !== undefined && (m.pull || (m.action?.block.runsToHim ?? false));
};

const isAlone = ({ men }: Outcome, man: number): boolean =>
  men.some((m) => m.man === man && m.partners.length === 0 && m.instead === null);

/** Neighbours, each alone with his man, whose men have crossed. */
function passOff(kept: number[], before: Outcome, after: Change['after']): void {
  for (let round = 1; round < after.lineCount; round++)
    for (let man = 0; man + 1 < after.lineCount; man++) {
      const [his, mates] = [kept[man]!, kept[man + 1]!];
      if (his === NOBODY || mates === NOBODY || his === mates || !isAlone(before, man) || !isAlone(before, man + 1))
        continue;
      if (!moreThan(after.defenders[his]!.x, after.defenders[mates]!.x) || !wereInOrder(before, after, his, mates))
        continue;
      [kept[man], kept[man + 1]] = [mates, his];
    }
}

/** Where a defender of the picture after the snap stood before it, feet to the side. */
const wasAt = ({ settled }: Outcome, after: Change['after'], d: number): number =>
  settled.scene.defenders.find((b) => b.id === after.defenders[d]!.id)!.x;

const hasStayed = (before: Outcome, after: Change['after'], d: number): boolean =>
  wasAt(before, after, d) === after.defenders[d]!.x;

/** Did they stand the other way round before the snap? */
const wereInOrder = (before: Outcome, after: Change['after'], one: number, other: number): boolean =>
  !moreThan(wasAt(before, after, one), wasAt(before, after, other));

function letGo(kept: number[], before: Outcome, after: Change['after'], isZone: boolean): void {
  const held = [...kept];
  for (let man = 0; man < after.lineCount; man++) {
    const his = held[man]!;
    if (his === NOBODY || held.some((d, mate) => mate !== man && d === his) || hasStayed(before, after, his)) continue;
    const owner = isZone
      ? after.cover.men.findIndex((list) => list.includes(his))
      : isBeside(after, man, his)
        ? man
        : [man - 1, man + 1].findIndex((mate) => mate >= 0 && mate < after.lineCount && isBeside(after, mate, his));
    const mate = isZone || owner === man ? owner : owner < 0 ? NOBODY : [man - 1, man + 1][owner]!;
    if (mate === NOBODY || mate === man || Math.abs(mate - man) > 1 || runsTo(before, mate) || !hasHandFree(held, mate))
      continue;
    kept[man] = NOBODY;
    kept[mate] = his;
  }
}

/** He has nobody on the line, or shares whom he has. */
const hasHandFree = (held: readonly number[], man: number): boolean =>
  held[man] === NOBODY || held.filter((d) => d === held[man]).length > 1;
