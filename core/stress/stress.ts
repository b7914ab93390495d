import type { Problem, ProblemCode } from '../model/resolution';
import { explainFault, faultKey, isBreaking } from '../resolve/judge/judge';
import type { Fault } from '../resolve/judge/judge-case';
import { workPlay } from '../movement/play';
import type { Outcome } from '../resolve/allot/outcome';
import type { Prepared } from '../resolve/prepare/prepare-call';
import { isHole } from './holes';
import { choiceAt, choiceDrawn, weightOf, type Choice, type OpenSpace } from './space';

/** Which fronts of a space to try: all of them by number, or samples drawn from a seed. `from` and `to` share the work out. */
export interface StressPlan {
  readonly kind: 'all' | 'sample';
  readonly seed: number;
  readonly from: number;
  readonly to: number;
}

/** One way in which the rules fail, with how often and the plainest front that shows it. */
export interface Cause {
  readonly key: string;
  readonly code: ProblemCode;
  readonly severity: Problem['severity'];
  /** Blockers and defenders involved, by name. */
  readonly who: readonly string[];
  readonly count: number;
  /** On how many of them it is a hole of the rules themselves. */
  readonly holes: number;
  readonly smallest: {
    readonly weight: number;
    readonly choice: Choice;
    readonly message: string;
    readonly lines: readonly number[];
  };
}

/** What was found so far; tallies of parts add up to the tally of the whole. */
export interface Tally {
  readonly fronts: number;
  /** Choices that are no front: two men on one spot, or against the rules of the league. */
  readonly skipped: number;
  readonly sound: number;
  readonly atRisk: number;
  readonly broken: number;
  /** Fronts on which the rules themselves have a hole, whoever plays. */
  readonly holes: number;
  readonly causes: readonly Cause[];
}

export const NO_TALLY: Tally = Object.freeze({
  fronts: 0,
  skipped: 0,
  sound: 0,
  atRisk: 0,
  broken: 0,
  holes: 0,
  causes: [],
});

/** Every front of a small space, samples of a large one. */
export const planFor = (space: OpenSpace, limit: number, seed: number): StressPlan =>
  space.size <= limit ? { kind: 'all', seed, from: 0, to: space.size } : { kind: 'sample', seed, from: 0, to: limit };

/** Cuts a plan into equal parts. */
export function sharePlan(plan: StressPlan, parts: number): StressPlan[] {
  const step = Math.ceil((plan.to - plan.from) / parts);
  return Array.from({ length: parts }, (_, i) => ({
    ...plan,
    from: Math.min(plan.to, plan.from + i * step),
    to: Math.min(plan.to, plan.from + (i + 1) * step),
  })).filter((p) => p.to > p.from);
}

/** Works a call out against every front of a plan. Pure: the same plan gives the same tally. */
export function stress(prepared: Prepared, space: OpenSpace, plan: StressPlan): Tally {
  const causes = new Causes();
  const count = { fronts: 0, skipped: 0, sound: 0, atRisk: 0, broken: 0, holes: 0 };
  for (let i = plan.from; i < plan.to; i++) {
    const choice = plan.kind === 'all' ? choiceAt(space.radix, i) : choiceDrawn(space.radix, plan.seed, i);
    const front = space.frontAt(choice);
    if (!front) {
      count.skipped++;
      continue;
    }
    count.fronts++;
    const { outcome, judgement } = workPlay(prepared, front);
    count[judgement.verdict === 'at risk' ? 'atRisk' : judgement.verdict]++;
    if (judgement.faults.length === 0) continue;
    const weight = weightOf(choice, front.defenders.length);
    let hasHole = false;
    for (const fault of judgement.faults) {
      const hole = isHole(outcome, fault);
      hasHole ||= hole;
      causes.note(outcome, fault, hole, choice, weight);
    }
    if (hasHole) count.holes++;
  }
  return { ...count, causes: ranked(causes.all) };
}

/** What is known of the faults that begin alike: by the next name involved, and of the fault that ends here. */
class Branch {
  readonly next = new Map<string, Branch>();
  cause: { -readonly [K in keyof Cause]: Cause[K] } | null = null;

  at(name: string): Branch {
    let branch = this.next.get(name);
    if (!branch) this.next.set(name, (branch = new Branch()));
    return branch;
  }
}

/** Causes as they are counted: found by their code and the names involved one after the other, with no key put together on every front. */
class Causes {
  readonly all: Cause[] = [];
  private readonly root = new Branch();

  note(outcome: Outcome, fault: Fault, hole: boolean, choice: Choice, weight: number): void {
    const { scene } = outcome.settled;
    let branch = this.root.at(fault.code);
    for (const man of fault.men) branch = branch.at(scene.men[man]!.id);
    for (const d of fault.defenders) branch = branch.at(scene.defenders[d]!.id);
    const known = branch.cause;
    if (known) {
      known.count++;
      if (hole) known.holes++;
      if (isPlainer({ weight, choice }, known.smallest)) {
        const { message, lines } = explainFault(outcome, fault);
        known.smallest = { weight, choice, message, lines };
      }
      return;
    }
    const { who, message, lines } = explainFault(outcome, fault);
    branch.cause = {
      key: faultKey(outcome, fault),
      code: fault.code,
      severity: isBreaking(fault.code) ? 'broken' : 'risk',
      who,
      count: 1,
      holes: Number(hole),
      smallest: { weight, choice, message, lines },
    };
    this.all.push(branch.cause);
  }
}

/** Breaking causes first, then the more frequent. */
const ranked = (causes: readonly Cause[]): Cause[] =>
  [...causes].sort(
    (a, b) =>
      Number(b.severity === 'broken') - Number(a.severity === 'broken') ||
      b.count - a.count ||
      (a.key < b.key ? -1 : 1),
  );

export function addTallies(a: Tally, b: Tally): Tally {
  const causes = new Map(a.causes.map((c) => [c.key, c]));
  for (const c of b.causes) {
    const other = causes.get(c.key);
    causes.set(
      c.key,
      other
        ? {
            ...c,
            count: c.count + other.count,
            holes: c.holes + other.holes,
            smallest: isPlainer(c.smallest, other.smallest) ? c.smallest : other.smallest,
          }
        : c,
    );
  }
  return {
    fronts: a.fronts + b.fronts,
    skipped: a.skipped + b.skipped,
    sound: a.sound + b.sound,
    atRisk: a.atRisk + b.atRisk,
    broken: a.broken + b.broken,
    holes: a.holes + b.holes,
    causes: ranked([...causes.values()]),
  };
}

/** Ties go to the lower choice, so that the sum does not depend on who counted what. */
function isPlainer(
  a: Pick<Cause['smallest'], 'weight' | 'choice'>,
  b: Pick<Cause['smallest'], 'weight' | 'choice'>,
): boolean {
  if (a.weight !== b.weight) return a.weight < b.weight;
  const at = a.choice.findIndex((c, i) => c !== b.choice[i]);
  return at >= 0 && a.choice[at]! < b.choice[at]!;
}
