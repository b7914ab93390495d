import { moreThan } from '../../geometry/compare';
import { HEAD_UP } from '../../geometry/tolerances';
import { seconds } from '../../geometry/units';
import type { Pocket } from '../../kinematics/passing';
import { arrivesAt, lateness } from '../../kinematics/races';
import { MOVERS, moverOf } from '../../kinematics/speeds';
import { BLOCKS } from '../../vocabulary/index';
import { NOBODY } from '../../vocabulary/scene';
import type { Case } from './judge-case';
import { onlyTouches, type ManOutcome } from '../allot/outcome';

/** What can be wrong with a protection before anybody has moved: who is free, who is hot, who sets too late. Whoever cannot be there before the ball is out is no fault. */
export function judgePass(judged: Case, pocket: Pocket): void {
  freeRushers(judged, pocket);
  for (const m of judged.outcome.men) {
    lateSet(judged, m, pocket);
    badMatch(judged, m);
    scanAcross(judged, m);
  }
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

/** A back alone on a lineman: a bad match even when the count is right. A blow in passing is none. */
function badMatch(judged: Case, m: ManOutcome): void {
  const { scene, outcome } = judged;
  if (m.man < scene.lineCount || m.target === NOBODY || onlyTouches(m)) return;
  const { level, stance } = scene.defenders[m.target]!;
  if (level > 1 || stance === 'up' || outcome.defenders[m.target]!.by.length > 1 || BLOCKS[m.block].pulls) return;
  judged.find(
    'bad-match',
    [m.man],
    [m.target],
    () => `${judged.man(m.man)} is alone on ${judged.foe(m.target)}, a lineman.`,
  );
}

/** Two men to look at, one on each side of the ball: he cannot do it inside out. */
function scanAcross(judged: Case, { man, block, target, next }: ManOutcome): void {
  const { scene } = judged;
  if (!BLOCKS[block].scans || target === NOBODY || next === NOBODY) return;
  const [one, other] = [scene.defenders[target]!.x, scene.defenders[next]!.x];
  if (!moreThan(0, one * other) || Math.min(Math.abs(one), Math.abs(other)) <= HEAD_UP) return;
  judged.find('scan-across', [man], [target, next], () => {
    const who = `${judged.foe(target)} and ${judged.foe(next)}`;
    return `${judged.man(man)} scans across the ball: ${who} are on either side of it.`;
  });
}

/** A man who loses the race to the way of his rusher, on a straight line to the quarterback's spot. */
function lateSet(judged: Case, m: ManOutcome, { spot }: Pocket): void {
  const { scene, settings } = judged;
  if (m.target === NOBODY || m.partners.length > 0 || m.man >= scene.lineCount) return;
  const rusher = scene.defenders[m.target]!;
  const mover = m.pull ? MOVERS.puller : MOVERS.passSet;
  const late = lateness(scene.men[m.man]!, mover, rusher, moverOf(rusher), spot, settings.pullMargin);
  if (!moreThan(late, settings.pullMargin)) return;
  judged.find(
    'set-late',
    [m.man],
    [m.target],
    () =>
      `${judged.man(m.man)} comes ${seconds(late)} late to ${judged.foe(m.target)} if he runs straight for the quarterback.`,
  );
}
