import { lessThan, moreThan } from '../../geometry/compare';
import { LONG_CLIMB } from '../../geometry/tolerances';
import type { Job } from './jobs';
import { NOBODY_RANK, type Option } from './options';

/** Jobs that are still to be handed out, and everything whole allotments are weighed by. */
export interface Question {
  /** From the play side; of two at one place the one that is no double first. */
  readonly jobs: readonly Job[];
  readonly options: readonly (readonly Option[])[];
  /** Linebackers of the box nobody has yet. */
  readonly open: readonly number[];
  /** Seconds in which each of `open` could be at the ball. */
  readonly arrival: (backer: number) => number;
  /** Where every defender stands, feet to the side. */
  readonly x: (defender: number) => number;
  /** Ways that are settled already, for crossings: from and to, feet to the side. */
  readonly fixed: readonly (readonly [from: number, to: number])[];
}

/**
 * What an allotment is weighed by, the first that differs decides; less is better. `uncovered`: linebackers of the box nobody has; `past`:
 * long climbs past one of those who is nearer; `danger`: how soon those meet the ball; `idle`: men who go at once and have nobody; `crossings` of ways; `inward`: spare end men who look inside rather
 * than outside; `order`: the sentences' own order, job by job from the play side; `way`: feet to the side in all; `tie`.
 */
export interface Weight {
  readonly uncovered: number;
  readonly past: number;
  readonly danger: readonly number[];
  readonly idle: number;
  readonly crossings: number;
  readonly inward: number;
  readonly order: readonly number[];
  readonly way: number;
  readonly tie: readonly number[];
}

export const RULES = ['uncovered', 'past', 'danger', 'idle', 'crossings', 'inward', 'order', 'way', 'tie'] as const;
export type Rule = (typeof RULES)[number];

export interface Allotment {
  /** For each job its option, `null` for nobody. */
  readonly picks: readonly (Option | null)[];
  readonly weight: Weight;
}

/** How much a spare end man's look counts: outward, nobody, inside. */
const LOOK = { outward: 0, nobody: 1, inside: 2 } as const;

/** The best of all allotments: an exact search that leaves out what cannot become the best. `not` forbids one job one defender. */
export function bestAllotment(question: Question, not: { job: number; defender: number } | null = null): Allotment {
  const search: Search = {
    question,
    not,
    picks: question.jobs.map(() => null),
    idle: 0,
    crossings: 0,
    inward: 0,
    covered: 0,
    best: null,
  };
  walk(search, 0);
  return search.best!;
}

interface Search {
  readonly question: Question;
  readonly not: { job: number; defender: number } | null;
  readonly picks: (Option | null)[];
  idle: number;
  crossings: number;
  inward: number;
  covered: number;
  best: Allotment | null;
}

function walk(search: Search, j: number): void {
  const { question, picks, not, best } = search;
  const { jobs, options } = question;
  if (best && cannotWin(search, j, best)) return;
  if (j === jobs.length) {
    const weight = weigh(question, picks, search);
    if (!best || compareWeights(weight, best.weight) < 0) search.best = { picks: [...picks], weight };
    return;
  }
  const { kind } = jobs[j]!;
  const { idle, crossings, inward, covered } = search;
  for (const option of options[j]!) {
    if (isTaken(picks, j, option.defender) || (not?.job === j && not.defender === option.defender)) continue;
    picks[j] = option;
    search.crossings = crossings + (kind === 'errand' ? 0 : crossingsOf(question, picks, j, option.defender));
    search.inward = inward + (kind === 'end' ? (option.inBox ? LOOK.inside : LOOK.outward) : 0);
    search.covered = covered + (option.inBox ? 1 : 0);
    walk(search, j + 1);
  }
  picks[j] = null;
  search.crossings = crossings;
  search.covered = covered;
  search.idle = idle + (kind === 'climb' || kind === 'errand' ? 1 : 0);
  search.inward = inward + (kind === 'end' ? LOOK.nobody : 0);
  walk(search, j + 1);
  search.idle = idle;
  search.inward = inward;
}

/** What is settled so far is worse already than the best whole allotment. */
function cannotWin(search: Search, j: number, { weight }: Allotment): boolean {
  const { question, covered } = search;
  const least = question.open.length - covered - (question.jobs.length - j);
  if (least > weight.uncovered) return true;
  if (weight.uncovered > 0) return false;
  if (search.idle !== weight.idle) return search.idle > weight.idle;
  if (search.crossings !== weight.crossings) return search.crossings > weight.crossings;
  return search.inward > weight.inward;
}

function isTaken(picks: readonly (Option | null)[], upTo: number, defender: number): boolean {
  for (let i = 0; i < upTo; i++) if (picks[i]?.defender === defender) return true;
  return false;
}

/** How many ways settled before a job its own way would cross. */
function crossingsOf({ jobs, fixed, x }: Question, picks: readonly (Option | null)[], j: number, to: number): number {
  const { from } = jobs[j]!;
  let count = 0;
  for (const [start, end] of fixed) if (doCross(from, x(to), start, end)) count++;
  for (let i = 0; i < j; i++) {
    const other = picks[i];
    if (other && jobs[i]!.kind !== 'errand' && doCross(from, x(to), jobs[i]!.from, x(other.defender))) count++;
  }
  return count;
}

/** Do two ways, each from a place to a place to the side, cross? */
export const doCross = (from: number, to: number, start: number, end: number): boolean =>
  (moreThan(from, start) && lessThan(to, end)) || (lessThan(from, start) && moreThan(to, end));

function weigh(
  { jobs, options, open, arrival, x }: Question,
  picks: readonly (Option | null)[],
  { idle, crossings, inward }: Pick<Search, 'idle' | 'crossings' | 'inward'>,
): Weight {
  const left = open.filter((d) => !picks.some((p) => p?.defender === d));
  return {
    uncovered: left.length,
    past: left.length === 0 ? 0 : picks.filter((p, j) => p && isPast(jobs[j]!, p, options[j]!, left)).length,
    // Whoever could be there soonest is the worst to leave.
    danger: left.map((d) => -arrival(d)).sort((a, b) => b - a),
    idle,
    crossings,
    inward,
    order: picks.map((p, j) => p?.rank ?? (hasOrder(jobs[j]!) ? NOBODY_RANK : 0)),
    way: picks.reduce((sum, p) => sum + (p?.way ?? 0), 0),
    tie: picks.map((p) => (p ? -x(p.defender) : Infinity)),
  };
}

/** Does a man go far to the side past somebody nearer whom nobody has? */
const isPast = ({ kind }: Job, pick: Option, options: readonly Option[], left: readonly number[]): boolean =>
  kind !== 'errand' &&
  moreThan(pick.way, LONG_CLIMB) &&
  options.some((o) => left.includes(o.defender) && lessThan(o.way, pick.way));

/** Do the words of a job say in which order it looks? A plain climb does not. */
const hasOrder = ({ wishes }: Job): boolean => wishes.some((w) => w.finder.claim !== 'matched');

/** Negative when the first is better. */
export function compareWeights(a: Weight, b: Weight): number {
  for (const rule of RULES) {
    const by = compareBy(a[rule], b[rule]);
    if (by !== 0) return by;
  }
  return 0;
}

/** By which rule two allotments differ first; `null` when by none. */
export const decidingRule = (a: Weight, b: Weight): Rule | null =>
  RULES.find((rule) => compareBy(a[rule], b[rule]) !== 0) ?? null;

function compareBy(a: number | readonly number[], b: number | readonly number[]): number {
  if (typeof a === 'number') return lessThan(a, b as number) ? -1 : moreThan(a, b as number) ? 1 : 0;
  const other = b as readonly number[];
  for (let i = 0; i < a.length; i++) {
    if (lessThan(a[i]!, other[i]!)) return -1;
    if (moreThan(a[i]!, other[i]!)) return 1;
  }
  return 0;
}
