import { moreThan } from '../../geometry/compare';
import { seconds } from '../../geometry/units';
import type { Pocket } from '../../kinematics/passing';
import { arrivesAt, lateness } from '../../kinematics/races';
import { MOVERS, moverOf } from '../../kinematics/speeds';
import { NOBODY } from '../../vocabulary/scene';
import type { Case } from './judge-case';
import type { ManOutcome } from '../allot/outcome';

/** What can be wrong with a protection before anybody has moved: who is free, who is hot, who sets too late. Whoever cannot be there before the ball is out is no fault. */
export function judgePass(judged: Case, pocket: Pocket): void {
  freeRushers(judged, pocket);
  for (const m of judged.outcome.men) lateSet(judged, m, pocket);
}

function freeRushers(judged: Case, { spot, time }: Pocket): void {
  const { scene, outcome } = judged;
  for (const d of scene.threats) {
    if (outcome.defenders[d]!.status !== 'free') continue;
    const him = scene.defenders[d]!;
    const arrives = arrivesAt(him, moverOf(him), spot);
    const race = `he is at the spot after ${seconds(arrives)}, the ball is out after ${seconds(time)}`;
    if (moreThan(arrives, time))
      judged.notes.push(
        () => `Nobody has ${judged.foe(d)}${him.level === 1 ? ' on the line' : ''}, who cannot arrive: ${race}.`,
      );
    else if (him.level === 1)
      judged.find('free-rusher', [], [d], () => `Nobody has ${judged.foe(d)} on the line: ${race}.`);
    else if (!scene.linebackers.includes(d))
      judged.notes.push(() => `Nobody has ${judged.foe(d)}, who may come as well: ${race}.`);
    else judged.find('hot-rusher', [], [d], () => `${judged.foe(d)} is hot: nobody has him; ${race}.`);
  }
}

/** A man who loses the race to the way of his rusher, on a straight line to the quarterback's spot. */
function lateSet(judged: Case, m: ManOutcome, { spot }: Pocket): void {
  const { scene, settings } = judged;
  if (m.target === NOBODY || m.partners.length > 0 || m.man >= scene.lineCount) return;
  const rusher = scene.defenders[m.target]!;
  const late = lateness(scene.men[m.man]!, m.pull ? MOVERS.puller : MOVERS.passSet, rusher, moverOf(rusher), spot);
  if (!moreThan(late, settings.pullMargin)) return;
  judged.find(
    'set-late',
    [m.man],
    [m.target],
    () =>
      `${judged.man(m.man)} comes ${seconds(late)} late to ${judged.foe(m.target)} if he runs straight for the quarterback.`,
  );
}
