import { bitOf, has } from '../../geometry/bits';
import { lessThan, moreThan } from '../../geometry/compare';
import { putInOrder } from '../../geometry/put-in-order';
import { LONG_CLIMB } from '../../geometry/tolerances';
import type { Point } from '../../geometry/vec';
import { arrivesAt } from '../../kinematics/races';
import { moverOf } from '../../kinematics/speeds';
import type { Scene } from '../../vocabulary/scene';
import type { Job } from './jobs';
import { NOBODY_RANK, type Option } from './options';

/** Jobs that are still to be handed out, and everything whole allotments are weighed by. */
export interface Question {
  /** From the play side; of two at one place the one that is no double first. */
  readonly jobs: readonly Job[];
  readonly options: readonly (readonly Option[])[];
  /** Whether a job's man is idle who gets nobody. */
  readonly idle: readonly boolean[];
  /** Linebackers of the box nobody has yet. */
  readonly open: readonly number[];
  readonly scene: Scene;
  /** Where the ball crosses the line, feet; `null` against a pass, where men who scan look after whoever is left. */
  readonly ball: Point | null;
  /** Ways that are settled already, for crossings: from and to, feet to the side. */
  readonly fixed: readonly (readonly [from: number, to: number])[];
}

/** For each job its option, `null` for nobody. */
export type Picks = readonly (Option | null)[];

/**
 * What allotments are weighed by, the first that differs decides, less is better. `uncovered`: linebackers of the box nobody has; `past`:
 * long climbs past one of those who is nearer; `danger`: how soon those meet the ball; `idle`: men who go at once and have nobody;
 * `crossings` of ways; `inward`: spare end men who look inside rather than outside; `order`: the sentences' own order, job by job from the
 * play side; `way`: feet to the side in all; `tie`: the more playside linebacker to the more playside job.
 */
export const RULES = ['uncovered', 'past', 'danger', 'idle', 'crossings', 'inward', 'order', 'way', 'tie'] as const;
export type Rule = (typeof RULES)[number];

/** How much a spare end man's look counts: outward, nobody, inside. */
const LOOK = { outward: 0, nobody: 1, inside: 2 } as const;

const lookOf = ({ kind }: Job, pick: Option | null): number =>
  kind !== 'end' ? 0 : pick ? (pick.inBox ? LOOK.inside : LOOK.outward) : LOOK.nobody;

/** The best of all allotments: an exact search that leaves out what cannot become the best. `not` forbids one job one defender. */
export function bestAllotment(question: Question, not: { job: number; defender: number } | null = null): Picks {
  const search = new Search(question, not);
  search.walk(0, 0, 0, 0, 0, 0);
  return search.best;
}

class Search {
  best: (Option | null)[] = [];
  private readonly picks: (Option | null)[] = [];
  private found = false;
  private uncovered = 0;
  private idle = 0;
  private crossings = 0;
  private inward = 0;
  /** When those whom the best leaves would be at the ball; worked out when it is asked for. */
  private arrivals: readonly number[] | null = null;

  constructor(
    private readonly question: Question,
    private readonly not: { job: number; defender: number } | null,
  ) {}

  /** Goes through the options of job `j` and those after it; the figures are what those before it add up to, `had` a bit for each man they have. */
  walk(j: number, had: number, covered: number, idle: number, crossings: number, inward: number): void {
    const { question, picks, not } = this;
    const { jobs, options, open } = question;
    if (this.found && this.cannotWin(j, open.length - covered - (jobs.length - j), idle, crossings, inward)) return;
    if (j === jobs.length) {
      this.weigh(open.length - covered, idle, crossings, inward);
      return;
    }
    const { kind } = jobs[j]!;
    for (const option of options[j]!) {
      const { defender, inBox } = option;
      if (has(had, defender) || (not !== null && not.job === j && not.defender === defender)) continue;
      picks[j] = option;
      this.walk(
        j + 1,
        had | bitOf(defender),
        inBox ? covered + 1 : covered,
        idle,
        kind === 'errand' ? crossings : crossings + crossingsOf(question, picks, j),
        inward + lookOf(jobs[j]!, option),
      );
    }
    picks[j] = null;
    this.walk(j + 1, had, covered, question.idle[j] ? idle + 1 : idle, crossings, inward + lookOf(jobs[j]!, null));
  }

  /** What is settled so far is worse already than the best whole allotment: `least` linebackers stay uncovered at least. */
  private cannotWin(j: number, least: number, idle: number, crossings: number, inward: number): boolean {
    const { question, picks, best } = this;
    if (least > this.uncovered) return true;
    if (this.uncovered > 0) return false;
    if (idle !== this.idle) return idle > this.idle;
    if (crossings !== this.crossings) return crossings > this.crossings;
    if (inward !== this.inward) return inward > this.inward;
    return compareOrder(question, picks, best, j) > 0;
  }

  private compareDanger(): number {
    const { question, picks, best } = this;
    return compareArrivals(arrivalsOf(question, picks), (this.arrivals ??= arrivalsOf(question, best)));
  }

  /** Keeps a whole allotment when it is better than the best so far. */
  private weigh(uncovered: number, idle: number, crossings: number, inward: number): void {
    const { question, picks, best } = this;
    if (this.found) {
      let by = uncovered - this.uncovered;
      if (by === 0 && uncovered > 0) by = pastOf(question, picks) - pastOf(question, best);
      if (by === 0 && uncovered > 0) by = this.compareDanger();
      if (by === 0) by = idle - this.idle || crossings - this.crossings || inward - this.inward;
      if (by === 0)
        by = compareOrder(question, picks, best) || compareWay(picks, best) || compareTie(question, picks, best);
      if (by >= 0) return;
    }
    this.found = true;
    this.best = picks.slice();
    this.arrivals = null;
    this.uncovered = uncovered;
    this.idle = idle;
    this.crossings = crossings;
    this.inward = inward;
  }
}

/** How many ways settled before a job its own way would cross. */
function crossingsOf({ jobs, fixed, scene }: Question, picks: Picks, j: number): number {
  const { from } = jobs[j]!;
  const to = scene.defenders[picks[j]!.defender]!.x;
  let count = 0;
  for (const [start, end] of fixed) if (doCross(from, to, start, end)) count++;
  for (let i = 0; i < j; i++) {
    const other = picks[i];
    if (other && jobs[i]!.kind !== 'errand' && doCross(from, to, jobs[i]!.from, scene.defenders[other.defender]!.x))
      count++;
  }
  return count;
}

/** Do two ways, each from a place to a place to the side, cross? */
export const doCross = (from: number, to: number, start: number, end: number): boolean =>
  (moreThan(from, start) && lessThan(to, end)) || (lessThan(from, start) && moreThan(to, end));

const isLeft = (picks: Picks, defender: number): boolean => {
  for (const p of picks) if (p?.defender === defender) return false;
  return true;
};

/** How many men go far to the side past somebody nearer whom nobody has. */
function pastOf({ jobs, options, open }: Question, picks: Picks): number {
  let count = 0;
  for (let j = 0; j < picks.length; j++) {
    const pick = picks[j];
    if (!pick || jobs[j]!.kind === 'errand' || !moreThan(pick.way, LONG_CLIMB)) continue;
    for (const { defender, way } of options[j]!) {
      if (!lessThan(way, pick.way) || !open.includes(defender) || !isLeft(picks, defender)) continue;
      count++;
      break;
    }
  }
  return count;
}

/** Seconds until a linebacker could be at the ball. */
export function arrivalOf({ scene, ball }: Question, backer: number): number {
  const d = scene.defenders[backer]!;
  return ball ? arrivesAt(d, moverOf(d), ball) : 0;
}

/** When each of those whom an allotment leaves would be at the ball, seconds, the soonest first; nobody against a pass. */
function arrivalsOf(question: Question, picks: Picks): readonly number[] {
  const arrivals: number[] = [];
  if (!question.ball) return arrivals;
  for (const d of question.open)
    if (isLeft(picks, d)) putInOrder(arrivals, arrivalOf(question, d), (one, other) => one - other);
  return arrivals;
}

/** Who would be at the ball soonest is the worst to leave: of two allotments that leave as many, the one whose men come later. */
function compareArrivals(mine: readonly number[], his: readonly number[]): number {
  for (let i = 0; i < mine.length; i++) {
    const by = compare(his[i]!, mine[i]!);
    if (by !== 0) return by;
  }
  return 0;
}

function compareOrder({ jobs }: Question, a: Picks, b: Picks, upTo = jobs.length): number {
  for (let j = 0; j < upTo; j++) {
    const by = (a[j]?.rank ?? nobodyRank(jobs[j]!)) - (b[j]?.rank ?? nobodyRank(jobs[j]!));
    if (by !== 0) return by;
  }
  return 0;
}

/** A plain climb says no order; whoever's words do would have anybody they name rather than nobody. */
const nobodyRank = ({ wishes }: Job): number => (wishes.some((w) => w.finder.claim !== 'matched') ? NOBODY_RANK : 0);

function compareWay(a: Picks, b: Picks): number {
  let by = 0;
  for (let j = 0; j < a.length; j++) by += (a[j]?.way ?? 0) - (b[j]?.way ?? 0);
  return compare(by, 0);
}

function compareTie({ scene }: Question, a: Picks, b: Picks): number {
  for (let j = 0; j < a.length; j++) {
    const [mine, his] = [a[j] ?? null, b[j] ?? null];
    if (mine === his) continue;
    if (!mine || !his) return mine ? -1 : 1;
    const by = compare(scene.defenders[his.defender]!.x, scene.defenders[mine.defender]!.x);
    if (by !== 0) return by;
  }
  return 0;
}

/** Below zero when the first is less, forgiving binary rounding. */
const compare = (a: number, b: number): number => (lessThan(a, b) ? -1 : moreThan(a, b) ? 1 : 0);

/** By which rule two allotments differ first; `null` when by none. */
export function decidingRule(question: Question, a: Picks, b: Picks): Rule | null {
  const figures = (picks: Picks): Partial<Record<Rule, number>> => {
    const sum = (of: (j: number) => number): number => picks.reduce((all, _, j) => all + of(j), 0);
    return {
      uncovered: question.open.filter((d) => isLeft(picks, d)).length,
      past: pastOf(question, picks),
      idle: sum((j) => (picks[j] || !question.idle[j] ? 0 : 1)),
      crossings: sum((j) => (picks[j] && question.jobs[j]!.kind !== 'errand' ? crossingsOf(question, picks, j) : 0)),
      inward: sum((j) => lookOf(question.jobs[j]!, picks[j]!)),
    };
  };
  const compared: Partial<Record<Rule, () => number>> = {
    danger: () => compareArrivals(arrivalsOf(question, a), arrivalsOf(question, b)),
    order: () => compareOrder(question, a, b),
    way: () => compareWay(a, b),
    tie: () => compareTie(question, a, b),
  };
  const [mine, his] = [figures(a), figures(b)];
  return RULES.find((rule) => (compared[rule] ? compared[rule]!() !== 0 : mine[rule] !== his[rule])) ?? null;
}
