import { NOBODY, type Scene } from '../vocabulary/scene';
import { moreThan } from '../geometry/compare';
import { LATERAL_REACH } from '../geometry/tolerances';
import { feet, seconds, YARD, yards } from '../geometry/units';
import type { Attack } from '../kinematics/attack';
import { lateness, meetsBall } from '../kinematics/races';
import { BALL_AT_LINE, MOVERS } from '../kinematics/speeds';
import type { Problem, ProblemCode, Verdict } from '../model/resolution';
import type { Settings } from '../model/settings';
import type { CompiledScheme } from './compile';
import type { ManOutcome, Outcome } from './outcome';

/** A fault found: who is involved, in scene indices, and its sentence when somebody asks for it. */
export interface Fault {
  readonly code: ProblemCode;
  readonly men: readonly number[];
  readonly defenders: readonly number[];
  readonly say: () => string;
  /** Lines of the sentences involved, when they are not simply those of `men`. */
  readonly lines?: () => number[];
}

export interface Judgement {
  readonly verdict: Verdict;
  readonly faults: readonly Fault[];
  /** Seen and judged no fault. */
  readonly notes: readonly (() => string)[];
}

/** Which faults break a play; the others put it at risk. */
const SEVERITY: Record<ProblemCode, Problem['severity']> = {
  'free-at-attack': 'broken', 'free-on-line': 'risk', 'two-on-one': 'broken', idle: 'broken', 'partner-cannot-come': 'broken', cycle: 'broken',
  'reach-too-far': 'risk', 'pull-late': 'risk', 'vacated-gap': 'risk', 'free-linebacker': 'risk',
};

export const isBreaking = (code: ProblemCode): boolean => SEVERITY[code] === 'broken';

class Case {
  readonly scene: Scene;
  readonly faults: Fault[] = [];
  readonly notes: (() => string)[] = [];
  constructor(readonly scheme: CompiledScheme, readonly outcome: Outcome, readonly attack: Attack, readonly settings: Settings) {
    this.scene = outcome.settled.scene;
  }

  find(code: ProblemCode, men: readonly number[], defenders: readonly number[], say: () => string, lines?: () => number[]): void {
    this.faults.push({ code, men, defenders, say, lines });
  }

  man(index: number): string {
    return this.scene.men[index]!.id;
  }

  foe(index: number): string {
    return this.scene.defenders[index]!.id;
  }
}

/** Every fault of a resolution by name, and the verdict they add up to. */
export function judge(scheme: CompiledScheme, outcome: Outcome, attack: Attack, settings: Settings): Judgement {
  const judged = new Case(scheme, outcome, attack, settings);
  freeOnTheLine(judged);
  sharedUnasked(judged);
  idleMen(judged);
  lostPartners(judged);
  cycles(judged);
  for (const m of outcome.men) {
    if (m.pull) {
      lateKick(judged, m);
      vacatedGap(judged, m);
    } else farReach(judged, m);
  }
  freeLinebackers(judged);
  changesOfPlay(judged);
  const { faults, notes } = judged;
  return { faults, notes, verdict: faults.some((f) => SEVERITY[f.code] === 'broken') ? 'broken' : faults.length ? 'at risk' : 'sound' };
}

/** A fault as a problem of the resolution: names, lines and its sentence. */
export function explainFault(outcome: Outcome, fault: Fault): Problem {
  const { scene, sheets } = outcome.settled;
  const lineOf = (man: number): number[] => {
    const sentence = outcome.men.find((m) => m.man === man)?.sentence ?? -1;
    return sentence < 0 ? [] : [sheets[man]![sentence]!.line];
  };
  return {
    code: fault.code, severity: SEVERITY[fault.code], message: fault.say(),
    who: [...fault.men.map((m) => scene.men[m]!.id), ...fault.defenders.map((d) => scene.defenders[d]!.id)],
    lines: fault.lines ? fault.lines() : fault.men.flatMap(lineOf),
  };
}

function freeOnTheLine(judged: Case): void {
  const { outcome, scene, attack } = judged;
  for (const d of scene.first) {
    if (outcome.defenders[d]!.status !== 'free') continue;
    const { x } = scene.defenders[d]!;
    if (!moreThan(x, attack.hi) && !moreThan(attack.lo, x)) {
      judged.find('free-at-attack', [], [d], () => `${judged.foe(d)} is free on the line at or inside the point of attack: no man’s rule reaches him.`);
    } else judged.find('free-on-line', [], [d], () => `${judged.foe(d)} is free on the line away from the point of attack, neither read nor left by design.`);
  }
}

function sharedUnasked(judged: Case): void {
  const { men } = judged.outcome;
  for (let d = 0; d < judged.scene.defenders.length; d++) {
    if (judged.outcome.defenders[d]!.by.length < 2) continue;
    const on = men.filter((m) => m.target === d);
    if (on.length < 2 || on.every((m) => m.partners.length > 0)) continue;
    judged.find('two-on-one', on.map((m) => m.man), [d], () => `${on.map((m) => judged.man(m.man)).join(' and ')} both block ${judged.foe(d)}, and neither asked for help.`);
  }
}

/** A man of the line with nobody at all while somebody in the box whom he could get to is free. */
function idleMen(judged: Case): void {
  const { outcome, scene } = judged;
  const idle = outcome.men.filter((m) => m.man < scene.lineCount && m.target === NOBODY && m.next === NOBODY);
  if (idle.length === 0) return;
  const free = [...scene.first, ...scene.linebackers].filter((d) => outcome.defenders[d]!.status === 'free');
  if (free.length === 0) return;
  for (const { man } of idle) {
    const near = free.filter((d) => !moreThan(Math.abs(scene.defenders[d]!.x - scene.men[man]!.x), LATERAL_REACH));
    if (near.length) judged.find('idle', [man], near, () => `${judged.man(man)} has nobody to block while ${near.map((d) => judged.foe(d)).join(', ')} is free in the box.`);
  }
}

function lostPartners(judged: Case): void {
  const { fallbacks, refusals, sheets } = judged.outcome.settled;
  for (const man of fallbacks) {
    const lost = refusals[man]!;
    if (lost.size === 0) continue;
    const mates = [...new Set(lost.values())];
    judged.find('partner-cannot-come', [man, ...mates], [], () => `${judged.man(man)} needs ${mates.map((m) => judged.man(m)).join(', ')}, who is called away, and has no other sentence that stands.`,
      () => [...lost.keys()].map((s) => sheets[man]![s]!.line));
  }
}

function cycles(judged: Case): void {
  const { cycle, sheets, scene } = judged.outcome.settled;
  if (cycle.length === 0) return;
  const lines = (): number[] => cycle.flatMap((man) => { const s = scene.proposals[man]!.sentence; return s < 0 ? [] : [sheets[man]![s]!.line]; });
  judged.find('cycle', cycle, [], () => `The rules of ${cycle.map((m) => judged.man(m)).join(' and ')} chase each other (lines ${lines().join(', ')}) and never settle.`, lines);
}

/** A lone first-level block too far to the side; pulls and kicks are races, not reaches. */
function farReach(judged: Case, m: ManOutcome): void {
  const { scene, settings, scheme } = judged;
  if (m.target === NOBODY || m.partners.length > 0 || m.man >= scene.lineCount || scene.defenders[m.target]!.level > 1) return;
  const away = scene.defenders[m.target]!.x - scene.men[m.man]!.x;
  const zone = scheme.head.track === 'zone' || scheme.head.track === 'wide zone';
  const limit = zone && away > 0 ? settings.zoneReachLimit : settings.reachLimit;
  if (!moreThan(Math.abs(away), limit)) return;
  judged.find('reach-too-far', [m.man], [m.target], () => `${judged.man(m.man)} blocks ${judged.foe(m.target)} alone from ${feet(Math.abs(away))} to the side; more than ${feet(limit)} is too far.`);
}

/** A pulling block on the line that loses the race to where it should meet its man. */
function lateKick(judged: Case, m: ManOutcome): void {
  const { scene, attack, settings } = judged;
  if (m.target === NOBODY || scene.defenders[m.target]!.level > 1) return;
  const late = lateness(scene.men[m.man]!, MOVERS.puller, scene.defenders[m.target]!, MOVERS.rusher, { x: attack.x, y: -1 });
  if (!moreThan(late, settings.pullMargin)) return;
  judged.find('pull-late', [m.man], [m.target], () => `${judged.man(m.man)} comes ${seconds(late)} late to ${judged.foe(m.target)} if he runs straight for the hole.`);
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
  const near = nearest.level === 1 ? outcome.defenders[nearest.index]!.status === 'free' : moreThan(settings.vacatedDepth * YARD, nearest.y);
  if (!near) return;
  const { id, level, y, index } = nearest;
  judged.find('vacated-gap', [m.man], [index], () => `${judged.man(m.man)} pulls and ${id}, ${level === 1 ? 'walked up' : `${yards(y)} yards deep`}, can run through the gap he leaves.`);
}

/** The picture is the other play's: said beside the verdict, not against it. */
function changesOfPlay({ scheme, scene, notes }: Case): void {
  for (const { to, when } of scheme.changes) {
    scene.him = NOBODY;
    if (when(scene, scene.posts.C)) notes.push(() => `Change with me: this is the picture for ${to}.`);
  }
}

/** Box linebackers nobody has: a risk only if they can meet the ball in time. */
function freeLinebackers(judged: Case): void {
  const { outcome, scene, attack, scheme, settings } = judged;
  for (const lb of scene.linebackers) {
    if (lb === NOBODY || outcome.defenders[lb]!.status !== 'free') continue;
    const depth = meetsBall(scene.defenders[lb]!, MOVERS.linebacker, { x: attack.x, y: 0 }, BALL_AT_LINE[scheme.head.tempo], settings.standardYards * YARD);
    if (depth === null) judged.notes.push(() => `${judged.foe(lb)} is free but cannot arrive before ${settings.standardYards} yards.`);
    else judged.find('free-linebacker', [], [lb], () => `Nobody has ${judged.foe(lb)}; he can meet the ball ${depth === 0 ? 'at the line' : `${yards(depth)} yards past the line`}.`);
  }
}
