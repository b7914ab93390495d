import { bitOf, has } from '../../geometry/bits';
import { lessThan, moreThan } from '../../geometry/compare';
import { CLIMB_REACH, LATERAL_REACH, LONG_CLIMB } from '../../geometry/tolerances';
import { feet, seconds, trim, YARD, yards } from '../../geometry/units';
import { lateness } from '../../kinematics/races';
import { MOVERS } from '../../kinematics/speeds';
import { BLOCKS } from '../../vocabulary/index';
import { NOBODY, type Scene } from '../../vocabulary/scene';
import type { Case } from './judge-case';
import type { ManOutcome } from '../allot/outcome';
import { doCross } from '../allot/search';
import { arrivalAt, canMeet, carryOf, freeMen, holdOf, raceTo, sayHold, timeAt } from './race';

/** What can be wrong with a run. */
export function judgeRun(judged: Case): void {
  freeOnTheLine(judged);
  idleMen(judged);
  for (const m of judged.outcome.men) {
    if (m.pull) {
      lateKick(judged, m);
      vacatedGap(judged, m);
    } else {
      farReach(judged, m);
      farClimb(judged, m);
    }
  }
  crossings(judged);
  freeOffTheLine(judged);
}

/** Free on the line: at the point of attack the play is broken; elsewhere it is a race, and who loses that is printed with his arrival. */
function freeOnTheLine(judged: Case): void {
  const { outcome, scene } = judged;
  for (const d of scene.first) if (outcome.defenders[d]!.status === 'free') judgeFreeOnTheLine(judged, d);
}

function judgeFreeOnTheLine(judged: Case, d: number): void {
  const { scene, aim, scheme, settings } = judged;
  const { attack } = aim;
  const [carry, standard] = [carryOf(aim, scheme.head.tempo), settings.standardYards * YARD];
  const { x } = scene.defenders[d]!;
  if (!moreThan(x, attack.hi) && !moreThan(attack.lo, x))
    judged.find(
      'free-at-attack',
      [],
      [d],
      () => `${judged.foe(d)} is free on the line at or inside the point of attack: no man’s rule reaches him.`,
    );
  else if (!canMeet(scene, d, carry, standard))
    judged.notes.push(() => {
      const [he, ball] = [arrivalAt(scene, d, carry, standard), timeAt(carry, standard)];
      return `${judged.foe(d)} is free on the line and too late: after ${seconds(he)} where the ball is after ${seconds(ball)}.`;
    });
  else
    judged.find(
      'free-on-line',
      [],
      [d],
      () => `${judged.foe(d)} is free on the line away from the point of attack, neither read nor left by design.`,
    );
}

/**
 * A man of the line with nobody at all while somebody whom he could get to is free: a fault when that one is in the box, a note when he
 * stands outside it, where men are taken by name only (on the back side told to the last man alone: the others are too far from him).
 */
function idleMen(judged: Case): void {
  const { lineCount } = judged.scene;
  for (const { man, target, next } of judged.outcome.men)
    if (target === NOBODY && next === NOBODY && man < lineCount) judgeIdle(judged, man);
}

function judgeIdle(judged: Case, man: number): void {
  const { scene } = judged;
  const box = [...freeNear(judged, man, scene.first), ...freeNear(judged, man, scene.linebackers)];
  if (box.length > 0) {
    judged.find(
      'idle',
      [man],
      box,
      () =>
        `${judged.man(man)} has nobody to block while ${box.map((d) => judged.foe(d)).join(', ')} is free in the box.`,
    );
    return;
  }
  const [outside] = freeNear(judged, man, scene.edge.playside.overhangs);
  const [behind] = man === 0 ? freeNear(judged, man, scene.edge.backside.overhangs) : [];
  if (outside !== undefined) judged.notes.push(byNameOnly(judged, man, outside, ''));
  else if (behind !== undefined) judged.notes.push(byNameOnly(judged, man, behind, ' backside'));
  else judged.notes.push(oneTooMany(judged, man));
}

/** Whom of these nobody has and this man could get to. */
function freeNear({ scene, outcome }: Case, man: number, who: readonly number[]): number[] {
  const { x } = scene.men[man]!;
  return who.filter(
    (d) => outcome.defenders[d]!.status === 'free' && !moreThan(Math.abs(scene.defenders[d]!.x - x), LATERAL_REACH),
  );
}

const byNameOnly = (judged: Case, man: number, overhang: number, side: '' | ' backside') => () =>
  `${judged.man(man)} has nobody to block and ${judged.foe(overhang)}, outside the box, is free. Overhangs are taken by name: “climb to the first free overhang${side}” in his sentence would do it.`;

/** A spare hat: he goes on to whoever is nearest downfield of those whom nobody has. */
const oneTooMany = (judged: Case, man: number) => () => {
  const { scene, outcome } = judged;
  const { x } = scene.men[man]!;
  const downfield = scene.defenders.filter((d) => d.level > 1 && outcome.defenders[d.index]!.status === 'free');
  const [nearest] = downfield.sort((a, b) => Math.hypot(a.x - x, a.y) - Math.hypot(b.x - x, b.y) || a.index - b.index);
  const onTo = nearest ? `goes on to ${nearest.id}` : 'goes on to the next level: everybody there has a man';
  return `${judged.man(man)} is one hat too many: he ${onTo}.`;
};

/** A lone first-level block too far to the side; pulls and kicks are races, not reaches. */
function farReach(judged: Case, m: ManOutcome): void {
  const { scene, settings, scheme } = judged;
  if (m.target === NOBODY || m.partners.length > 0 || m.man >= scene.lineCount || scene.defenders[m.target]!.level > 1)
    return;
  const away = scene.defenders[m.target]!.x - scene.men[m.man]!.x;
  const zone = scheme.head.track === 'zone' || scheme.head.track === 'wide zone';
  const limit = zone && away > 0 ? settings.zoneReachLimit : settings.reachLimit;
  if (!moreThan(Math.abs(away), limit)) return;
  judged.find(
    'reach-too-far',
    [m.man],
    [m.target],
    () =>
      `${judged.man(m.man)} blocks ${judged.foe(m.target)} alone from ${feet(Math.abs(away))} to the side; more than ${feet(limit)} is too far.`,
  );
}

/** A man who goes at once far to the side: past somebody nearer whom nobody has, or so far that he never gets there. */
function farClimb(judged: Case, m: ManOutcome): void {
  const { scene } = judged;
  const { man, target } = m;
  if (target === NOBODY || scene.defenders[target]!.level === 1 || runsToHim(m, scene)) return;
  if (moreThan(Math.abs(scene.defenders[target]!.x - scene.men[man]!.x), LONG_CLIMB)) longClimb(judged, m);
}

function longClimb(judged: Case, { man, target }: ManOutcome): void {
  const { scene, outcome } = judged;
  const away = (d: number): number => Math.abs(scene.defenders[d]!.x - scene.men[man]!.x);
  const far = (): string => `${judged.man(man)} has ${feet(away(target))} to the side to ${judged.foe(target)}`;
  if (!lessThan(away(target), CLIMB_REACH)) {
    judged.find('climb-too-far', [man], [target], () => `${far()}: too far for a climb.`);
    return;
  }
  const nearer = scene.linebackers.filter((d) => outcome.defenders[d]!.status === 'free' && away(d) < away(target));
  if (nearer.length === 0) return;
  const [spare] = nearer.sort((a, b) => away(a) - away(b));
  judged.find(
    'climb-too-far',
    [man],
    [target, spare!],
    () => `${far()}, past ${judged.foe(spare!)}, who is nearer and free.`,
  );
}

/** He comes from elsewhere: how far he runs is a race, not a reach. */
const runsToHim = ({ pull, block, action, instead, man }: ManOutcome, { lineCount }: Scene): boolean => {
  if (pull || instead !== null) return pull;
  const { runsToHim: runs, course } = action?.id === block ? action.block : BLOCKS[block];
  return (runs ?? false) || (man >= lineCount && course === 'behind-the-line');
};

/** Two men whose ways to the next level cross; pullers and leads cross whom they like. */
function crossings(judged: Case): void {
  const { scene, outcome } = judged;
  const ways: Way[] = [];
  /** A bit for each man somebody is on his way to already. */
  let gone = 0;
  for (const m of outcome.men) {
    const goesOn = m.next !== NOBODY && m.target !== NOBODY;
    const to = goesOn ? m.next : m.target;
    if (to === NOBODY || scene.defenders[to]!.level === 1 || has(gone, to) || runsToHim(m, scene)) continue;
    gone |= bitOf(to);
    ways.push({ man: m.man, from: goesOn ? scene.defenders[m.target]!.x : scene.men[m.man]!.x, to });
  }
  for (let i = 0; i < ways.length; i++)
    for (let j = i + 1; j < ways.length; j++) {
      const [a, b] = [ways[i]!, ways[j]!];
      if (doCross(a.from, scene.defenders[a.to]!.x, b.from, scene.defenders[b.to]!.x)) findCrossing(judged, a, b);
    }
}

interface Way {
  readonly man: number;
  readonly from: number;
  readonly to: number;
}

function findCrossing(judged: Case, a: Way, b: Way): void {
  const way = ({ man, to }: Way): string => `${judged.man(man)} to ${judged.foe(to)}`;
  judged.find('crossing', [a.man, b.man], [a.to, b.to], () => `The ways of ${way(a)} and ${way(b)} cross.`);
}

/** A pulling block on the line that loses the race to where it should meet its man. */
function lateKick(judged: Case, m: ManOutcome): void {
  const {
    scene,
    aim: { attack },
    settings,
  } = judged;
  if (m.target === NOBODY || scene.defenders[m.target]!.level > 1) return;
  const [puller, him, hole] = [scene.men[m.man]!, scene.defenders[m.target]!, { x: attack.x, y: -1 }];
  const late = lateness(puller, MOVERS.puller, him, MOVERS.rusher, hole, settings.pullMargin);
  if (!moreThan(late, settings.pullMargin)) return;
  judged.find(
    'pull-late',
    [m.man],
    [m.target],
    () =>
      `${judged.man(m.man)} comes ${seconds(late)} late to ${judged.foe(m.target)} if he runs straight for the hole.`,
  );
}

/** A linebacker this far to the side of the puller's place can still run through it, feet. */
const THROUGH_GAP = 6;

/** A linebacker close behind, or standing in, the gap a puller leaves. */
function vacatedGap(judged: Case, m: ManOutcome): void {
  const { outcome, scene, settings } = judged;
  if (m.man >= scene.lineCount) return;
  const nose = scene.men[m.man]!.x;
  let nearest: Scene['defenders'][number] | null = null;
  for (const d of scene.defenders) {
    if (d.level !== 2 && (d.level !== 1 || d.stance !== 'up' || d.position === 'end')) continue;
    if (!nearest || Math.abs(d.x - nose) < Math.abs(nearest.x - nose)) nearest = d;
  }
  if (!nearest || Math.abs(nearest.x - nose) > THROUGH_GAP) return;
  const near =
    nearest.level === 1
      ? outcome.defenders[nearest.index]!.status === 'free'
      : moreThan(settings.vacatedDepth * YARD, nearest.y);
  if (!near) return;
  const { id, level, y, index } = nearest;
  judged.find(
    'vacated-gap',
    [m.man],
    [index],
    () =>
      `${judged.man(m.man)} pulls and ${id}, ${level === 1 ? 'walked up' : `${yards(y)} yards deep`}, can run through the gap he leaves.`,
  );
}

/**
 * Men off the line whom nobody has, in the box or out of it: a risk only if they can meet the ball before the run has gained what the
 * coach calls a good one. Of a man outside the box who comes too late nothing is said.
 */
function freeOffTheLine(judged: Case): void {
  const { outcome, scene } = judged;
  for (const d of freeMen(outcome)) if (scene.defenders[d]!.level > 1) judgeFreeOffTheLine(judged, d);
}

function judgeFreeOffTheLine(judged: Case, d: number): void {
  const { scene, aim, scheme, settings } = judged;
  const [carry, standard] = [carryOf(aim, scheme.head.tempo), settings.standardYards * YARD];
  if (canMeet(scene, d, carry, standard))
    judged.find('free-linebacker', [], [d], () => {
      const met = raceTo(scene, d, carry, standard) ?? 0;
      const where = lessThan(met, YARD / 4) ? 'at the line' : `${trim(met / YARD, 1)} yards past the line`;
      return `Nobody has ${judged.foe(d)}; he can meet the ball ${where} unless he is held for ${sayHold(holdOf(scene, d, carry, standard))}.`;
    });
  else if (scene.linebackers.includes(d))
    judged.notes.push(() => `${judged.foe(d)} is free but cannot arrive before ${settings.standardYards} yards.`);
}
