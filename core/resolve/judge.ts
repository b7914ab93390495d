import { NOBODY, type Scene } from '../vocabulary/scene';
import { moreThan } from '../geometry/compare';
import { feet, seconds, YARD, yards } from '../geometry/units';
import type { Attack } from '../kinematics/attack';
import { lateness, meetsBall } from '../kinematics/races';
import { BALL_AT_LINE, MOVERS, type Mover } from '../kinematics/speeds';
import type { Problem, Verdict } from '../model/resolution';
import type { Settings } from '../model/settings';
import type { CompiledScheme } from './compile';
import type { ManOutcome, Outcome } from './outcome';

export interface Judgement {
  readonly verdict: Verdict;
  readonly problems: Problem[];
  readonly notes: string[];
}

interface Case {
  readonly scheme: CompiledScheme;
  readonly outcome: Outcome;
  readonly scene: Scene;
  readonly attack: Attack;
  readonly settings: Settings;
}

/** Every fault of a resolution by name, and the verdict they add up to. */
export function judge(scheme: CompiledScheme, outcome: Outcome, attack: Attack, settings: Settings): Judgement {
  const judged: Case = { scheme, outcome, scene: outcome.settled.scene, attack, settings };
  const free = freeLinebackers(judged);
  const problems = [
    ...freeOnTheLine(judged), ...sharedUnasked(judged), ...idleMen(judged), ...lostPartners(judged), ...cycles(judged),
    ...farReaches(judged), ...lateKicks(judged), ...vacatedGaps(judged), ...free.problems,
  ];
  const verdict = problems.some((p) => p.severity === 'broken') ? 'broken' : problems.length ? 'at risk' : 'sound';
  return { verdict, problems, notes: free.notes };
}

const lineOf = ({ outcome }: Case, man: ManOutcome): number[] =>
  (man.sentence < 0 ? [] : [outcome.settled.sheets[man.man]![man.sentence]!.line]);

function freeOnTheLine({ outcome, scene, attack }: Case): Problem[] {
  return scene.first.filter((d) => outcome.defenders[d]!.status === 'free').map((d) => {
    const { id, x } = scene.defenders[d]!;
    const atAttack = !moreThan(x, attack.hi) && !moreThan(attack.lo, x);
    return atAttack
      ? { code: 'free-at-attack', severity: 'broken', who: [id], lines: [], message: `${id} is free on the line at or inside the point of attack: no man’s rule reaches him.` }
      : { code: 'free-on-line', severity: 'risk', who: [id], lines: [], message: `${id} is free on the line away from the point of attack, neither read nor left by design.` };
  });
}

function sharedUnasked(judged: Case): Problem[] {
  const { outcome, scene } = judged;
  return scene.defenders.flatMap((d) => {
    const on = outcome.men.filter((m) => m.target === d.index);
    const lonely = on.filter((m) => m.partners.length === 0);
    if (on.length < 2 || lonely.length === 0) return [];
    const names = on.map((m) => scene.men[m.man]!.id);
    return [{ code: 'two-on-one', severity: 'broken' as const, who: [...names, d.id], lines: on.flatMap((m) => lineOf(judged, m)), message: `${names.join(' and ')} both block ${d.id}, and neither asked for help.` }];
  });
}

/** A man of the line with nobody at all while somebody in the box is free. */
function idleMen(judged: Case): Problem[] {
  const { outcome, scene } = judged;
  const box = new Set(scene.identification.box.ids);
  const free = scene.defenders.filter((d) => box.has(d.id) && outcome.defenders[d.index]!.status === 'free').map((d) => d.id);
  if (free.length === 0) return [];
  return outcome.men.filter((m) => m.man < scene.lineCount && m.target === NOBODY && m.next === NOBODY).map((m) => {
    const id = scene.men[m.man]!.id;
    return { code: 'idle', severity: 'broken', who: [id, ...free], lines: lineOf(judged, m), message: `${id} has nobody to block while ${free.join(', ')} is free in the box.` };
  });
}

function lostPartners({ outcome, scene }: Case): Problem[] {
  return outcome.settled.fallbacks.filter((man) => outcome.settled.refusals[man]!.size > 0).map((man) => {
    const mates = [...new Set(outcome.settled.refusals[man]!.values())].map((m) => scene.men[m]!.id);
    const lines = [...outcome.settled.refusals[man]!.keys()].map((s) => outcome.settled.sheets[man]![s]!.line);
    return { code: 'partner-cannot-come', severity: 'broken', who: [scene.men[man]!.id, ...mates], lines, message: `${scene.men[man]!.id} needs ${mates.join(', ')}, who is called away, and has no other sentence that stands.` };
  });
}

function cycles({ outcome, scene }: Case): Problem[] {
  const { cycle, sheets } = outcome.settled;
  if (cycle.length === 0) return [];
  const lines = cycle.flatMap((man) => { const s = scene.proposals[man]!.sentence; return s < 0 ? [] : [sheets[man]![s]!.line]; });
  const names = cycle.map((m) => scene.men[m]!.id);
  return [{ code: 'cycle', severity: 'broken', who: names, lines, message: `The rules of ${names.join(' and ')} chase each other (lines ${lines.join(', ')}) and never settle.` }];
}

/** Lone first-level blocks too far to the side; pulls and kicks are races, not reaches. */
function farReaches(judged: Case): Problem[] {
  const { outcome, scene, settings, scheme } = judged;
  return outcome.men.flatMap((m) => {
    if (m.target === NOBODY || m.pull || m.partners.length > 0 || scene.defenders[m.target]!.level > 1 || m.man >= scene.lineCount) return [];
    const away = scene.defenders[m.target]!.x - scene.men[m.man]!.x;
    const zone = scheme.head.track === 'zone' || scheme.head.track === 'wide zone';
    const limit = zone && away > 0 ? settings.zoneReachLimit : settings.reachLimit;
    if (!moreThan(Math.abs(away), limit)) return [];
    const [id, foe] = [scene.men[m.man]!.id, scene.defenders[m.target]!.id];
    return [{ code: 'reach-too-far', severity: 'risk' as const, who: [id, foe], lines: lineOf(judged, m), message: `${id} blocks ${foe} alone from ${feet(Math.abs(away))} to the side; more than ${feet(limit)} is too far.` }];
  });
}

/** Pulling blocks on the line that lose the race to where they should meet. */
function lateKicks(judged: Case): Problem[] {
  const { outcome, scene, attack, settings } = judged;
  return outcome.men.flatMap((m) => {
    if (!m.pull || m.target === NOBODY || scene.defenders[m.target]!.level > 1) return [];
    const foe = scene.defenders[m.target]!;
    const late = lateness(scene.men[m.man]!, MOVERS.puller, foe, MOVERS.rusher, { x: attack.x, y: -1 });
    if (!moreThan(late, settings.pullMargin)) return [];
    const id = scene.men[m.man]!.id;
    return [{ code: 'pull-late', severity: 'risk' as const, who: [id, foe.id], lines: lineOf(judged, m), message: `${id} comes ${seconds(late)} late to ${foe.id} if he runs straight for the hole.` }];
  });
}

/** A linebacker close behind, or standing in, the gap a puller leaves. */
function vacatedGaps(judged: Case): Problem[] {
  const { outcome, scene, settings } = judged;
  return outcome.men.filter((m) => m.pull && m.man < scene.lineCount).flatMap((m) => {
    const nose = scene.men[m.man]!.x;
    const candidates = scene.defenders.filter((d) => d.level === 2 || (d.level === 1 && d.stance === 'up' && d.position !== 'end'));
    const nearest = candidates.reduce<(typeof candidates)[number] | null>((best, d) => (!best || Math.abs(d.x - nose) < Math.abs(best.x - nose) ? d : best), null);
    if (!nearest || Math.abs(nearest.x - nose) > THROUGH_GAP) return [];
    const near = nearest.level === 1 ? outcome.defenders[nearest.index]!.status === 'free' : moreThan(settings.vacatedDepth * YARD, nearest.y);
    if (!near) return [];
    const id = scene.men[m.man]!.id;
    const where = nearest.level === 1 ? 'walked up' : `${yards(nearest.y)} yards deep`;
    return [{ code: 'vacated-gap', severity: 'risk' as const, who: [id, nearest.id], lines: lineOf(judged, m), message: `${id} pulls and ${nearest.id}, ${where}, can run through the gap he leaves.` }];
  });
}

/** A linebacker this far to the side of the puller's place can still run through it, feet. */
const THROUGH_GAP = 6;

/** Box linebackers nobody has: a risk only if they can meet the ball in time. */
function freeLinebackers({ outcome, scene, attack, scheme, settings }: Case): { problems: Problem[]; notes: string[] } {
  const problems: Problem[] = [];
  const notes: string[] = [];
  const limit = settings.standardYards * YARD;
  for (const lb of scene.linebackers) {
    if (lb === NOBODY || outcome.defenders[lb]!.status !== 'free') continue;
    const foe = scene.defenders[lb]!;
    const mover: Mover = MOVERS.linebacker;
    const depth = meetsBall(foe, mover, { x: attack.x, y: 0 }, BALL_AT_LINE[scheme.head.tempo], limit);
    if (depth === null) notes.push(`${foe.id} is free but cannot arrive before ${settings.standardYards} yards.`);
    else problems.push({ code: 'free-linebacker', severity: 'risk', who: [foe.id], lines: [], message: `Nobody has ${foe.id}; he can meet the ball ${yards(depth)} yards past the line.` });
  }
  return { problems, notes };
}

