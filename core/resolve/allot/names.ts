import { atMost, lessThan, moreThan } from '../../geometry/compare';
import { STACK_WIDTH } from '../../geometry/tolerances';
import { always } from '../../vocabulary/finding';
import { NOBODY } from '../../vocabulary/scene';
import type { Settled } from '../settle/settled';
import { isOutOfReach, wayTo, type Job } from './jobs';

/** Jobs on their way through their sentences. */
export interface Open {
  /** Place of each job's present wish; past the last one it asks for nobody any more. */
  readonly wish: number[];
  /** Which job has whom; -1 while it has nobody. */
  readonly given: number[];
  readonly taken: boolean[];
  /** Jobs whose double keeps whoever stands over it. */
  readonly kept: number[];
  /** Jobs that asked for somebody by name whom another job has. */
  readonly lost: { readonly job: number; readonly name: number }[];
}

/** The present wish is no name. */
const NO_NAME = -2;

/**
 * Hands out whoever has to be had by one job before all others: the linebacker who stands over a double stays with it, unless a puller or
 * lead names him; then everybody who is named outright. One name twice: the puller or lead, then the shorter way, then the more playside
 * job; the others go on to what their own sentences say else, and never to just any linebacker.
 */
export function giveNames(settled: Settled, jobs: readonly Job[], open: Open): void {
  const { wish, given, taken, lost } = open;
  const names: number[] = [];
  for (const job of jobs) names.push(nameOf(settled, job, 0));
  keepOverDoubles(settled, jobs, names, open);
  for (let again = names.some((name) => name !== NO_NAME); again;) {
    again = false;
    for (let j = 0; j < jobs.length; j++) {
      const name = names[j]!;
      if (given[j] !== NOBODY || name === NO_NAME) continue;
      again = true;
      if (name === NOBODY || taken[name]) {
        if (name !== NOBODY) lost.push({ job: j, name });
        names[j] = nameOf(settled, jobs[j]!, ++wish[j]!);
        continue;
      }
      let winner = j;
      for (let i = 0; i < jobs.length; i++)
        if (names[i] === name && given[i] === NOBODY && comesBefore(settled, jobs[i]!, jobs[winner]!, name)) winner = i;
      given[winner] = name;
      taken[name] = true;
    }
  }
}

/** Whom a wish names outright; -1 when he is not there or out of reach. A number higher than there are linebackers is the last one. */
function nameOf(settled: Settled, job: Job, wish: number): number {
  const { scene } = settled;
  const { man, him, wishes } = job;
  const finder = wishes[wish]?.finder;
  if (!finder || finder.claim !== 'named') return NO_NAME;
  const found = finder.seek(scene, man, him, always);
  const name = found !== NOBODY || !finder.orLast ? found : (scene.linebackers[scene.linebackers.length - 1] ?? NOBODY);
  return name !== NOBODY && isOutOfReach(settled, job, name) ? NOBODY : name;
}

function comesBefore(settled: Settled, a: Job, b: Job, name: number): boolean {
  if ((a.kind === 'errand') !== (b.kind === 'errand')) return a.kind === 'errand';
  const [mine, his] = [wayTo(settled, a, name), wayTo(settled, b, name)];
  if (lessThan(mine, his) || moreThan(mine, his)) return mine < his;
  return moreThan(a.from, b.from);
}

/** A double keeps a linebacker who stands straight behind the man it doubles. */
function keepOverDoubles({ scene }: Settled, jobs: readonly Job[], names: readonly number[], open: Open): void {
  const { given, taken, kept } = open;
  if (!jobs.some((job) => job.kind === 'exit')) return;
  for (const backer of scene.linebackers) {
    if (taken[backer]) continue;
    const { x } = scene.defenders[backer]!;
    let keeper = NOBODY;
    let isNamed = false;
    for (let j = 0; j < jobs.length; j++) {
      const { kind, from, on } = jobs[j]!;
      if (kind === 'errand' && names[j] === backer) isNamed = true;
      if (kind !== 'exit' || on === NOBODY || given[j] !== NOBODY || !atMost(Math.abs(x - from), STACK_WIDTH)) continue;
      if (keeper === NOBODY || lessThan(Math.abs(x - from), Math.abs(x - jobs[keeper]!.from))) keeper = j;
    }
    if (keeper === NOBODY || isNamed) continue;
    given[keeper] = backer;
    taken[backer] = true;
    kept.push(keeper);
  }
}
