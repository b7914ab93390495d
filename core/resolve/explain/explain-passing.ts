import { atMost } from '../../geometry/compare';
import { HAND_HELP } from '../../geometry/tolerances';
import type { Pocket } from '../../kinematics/passing';
import { arrivesAt } from '../../kinematics/races';
import { moverOf } from '../../kinematics/speeds';
import type { Passing } from '../../model/resolution';
import { BLOCKS } from '../../vocabulary/index';
import { NOBODY, type Scene } from '../../vocabulary/scene';
import type { ManOutcome, Outcome } from '../allot/outcome';
import { setOf } from './pass-set';
import { dissolvesAt, sharedRushers } from './shared-rushers';

type Help = Passing['men'][number]['help'][number];

/** What a protection says beyond who has whom: sets, help, scans, and who is hot. */
export function explainPassing(outcome: Outcome, pocket: Pocket): Passing {
  const { spot, time } = pocket;
  const { scene } = outcome.settled;
  const [man, foe] = [(m: number) => scene.men[m]!.id, (d: number) => scene.defenders[d]!.id];
  const free = scene.threats.filter((d) => outcome.defenders[d]!.status === 'free');
  return {
    spot: { x: scene.side === 'right' ? spot.x : 0 - spot.x, y: spot.y },
    time,
    men: outcome.men
      .filter((m) => m.man < scene.lineCount && BLOCKS[m.block].course === 'retreat')
      .map((m) => ({ blocker: scene.men[m.man]!.id, set: setOf(scene, m), help: helpFor(outcome, m) })),
    scans: outcome.men
      .filter((m) => BLOCKS[m.block].scans)
      .map((m) => ({
        blocker: scene.men[m.man]!.id,
        order: [m.target, m.next].filter((d) => d !== NOBODY).map((d) => scene.defenders[d]!.id),
      })),
    shared: sharedRushers(outcome).map((s) => ({
      blockers: [man(s.men[0]), man(s.men[1])],
      on: [foe(s.rushers[0]), foe(s.rushers[1])],
      until: round(dissolvesAt(outcome, s, pocket)),
    })),
    hot: free
      .map((d) => ({
        id: scene.defenders[d]!.id,
        arrives: round(arrivesAt(scene.defenders[d]!, moverOf(scene.defenders[d]!), spot)),
      }))
      .sort((a, b) => a.arrives - b.arrives),
  };
}

const round = (seconds: number): number => Math.round(seconds * 100) / 100;

/** Neighbours with nobody on the line to block, near enough to give a hand. */
function helpFor({ settled: { scene }, men }: Outcome, m: ManOutcome): Help[] {
  if (m.target === NOBODY || scene.defenders[m.target]!.level > 1) return [];
  const self = scene.men[m.man]!;
  return [self.backside, self.playside].flatMap((mate): Help[] => {
    const his = men.find((o) => o.man === mate);
    if (!his) return [];
    const together = his.target === m.target;
    const idle = his.target === NOBODY || scene.defenders[his.target]!.level > 1;
    if (!together && !(idle && atMost(Math.abs(scene.men[mate]!.x - scene.defenders[m.target]!.x), HAND_HELP)))
      return [];
    return [{ from: scene.men[mate]!.id, side: sideOf(scene, m.man, mate) }];
  });
}

/** On which side of him a neighbour stands; the centre has a left and a right. */
function sideOf(scene: Scene, man: number, mate: number): Help['side'] {
  if (man === scene.posts.C)
    return scene.men[mate]!.x > scene.men[man]!.x === (scene.side === 'right') ? 'right' : 'left';
  return Math.abs(scene.men[mate]!.x) < Math.abs(scene.men[man]!.x) ? 'inside' : 'outside';
}
