import { moreThan } from '../../geometry/compare';
import { NOBODY, type Proposal, type Scene } from '../../vocabulary/scene';
import { change } from '../settle/bump';
import type { Settled } from '../settle/settled';

/**
 * Neighbours of whom one moved over trade when each is alone with a man of one level and their men stand the other way round. `target` says
 * whom each man has and is put right.
 */
export function uncross(settled: Settled, target: number[]): void {
  const { scene } = settled;
  let isMoved = false;
  for (const { instead } of scene.proposals) if (instead === 'over') isMoved = true;
  if (!isMoved) return;
  for (let round = 1; round < scene.lineCount; round++) {
    let isStill = true;
    for (let man = 0; man + 1 < scene.lineCount; man++) {
      if (!areCrossed(scene, target, man, man + 1)) continue;
      isStill = false;
      const [his, mates] = [target[man]!, target[man + 1]!];
      take(settled, target, man, mates);
      take(settled, target, man + 1, his);
    }
    if (isStill) return;
  }
}

function areCrossed({ proposals, defenders }: Scene, target: readonly number[], man: number, mate: number): boolean {
  const [his, mates] = [target[man]!, target[mate]!];
  if (
    his === NOBODY ||
    mates === NOBODY ||
    defenders[his]!.level !== defenders[mates]!.level ||
    !moreThan(defenders[his]!.x, defenders[mates]!.x)
  )
    return false;
  const isMoved = proposals[man]!.instead === 'over' || proposals[mate]!.instead === 'over';
  return isMoved && mayTrade(proposals[man]!, his, target) && mayTrade(proposals[mate]!, mates, target);
}

const mayTrade = ({ instead, pulls }: Proposal, his: number, target: readonly number[]): boolean =>
  (instead === null || instead === 'over') && !pulls && target.indexOf(his) === target.lastIndexOf(his);

/** By his own sentence where that named him, else over to him. */
function take(settled: Settled, target: number[], man: number, defender: number): void {
  const own = settled.own[man];
  if (own?.target === defender) settled.scene.propose(man, own);
  else change(settled, man, defender, 'over');
  target[man] = defender;
}
