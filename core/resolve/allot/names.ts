import { atMost, lessThan, moreThan } from '../../geometry/compare';
import { STACK_WIDTH } from '../../geometry/tolerances';
import { always } from '../../vocabulary/finding';
import { NOBODY } from '../../vocabulary/scene';
import type { Settled } from '../settle/settled';
import { wayTo, type Job } from './jobs';

/** Which job has whom, by the place of the job; -1 while it has nobody. */
export type Given = number[];

/** A job on its way through its sentence: the wish it has come to. */
export interface Open {
  /** Place of its present wish; past the last one it asks for nobody any more. */
  readonly wish: number[];
  readonly given: Given;
  readonly taken: boolean[];
  /** Jobs whose double keeps whoever stands over it. */
  readonly kept: number[];
  /** Jobs that asked for somebody by name whom another job has. */
  readonly lost: { readonly job: number; readonly name: number }[];
}

/**
 * Hands out whoever has to be had by one job before all others: the linebacker who stands over a double stays with it, unless a puller or
 * lead names him; then everybody who is named outright. One name twice: the puller or lead, then the shorter way, then the more playside
 * job; the others go on to what their own sentences say else, and never to just any linebacker.
 */
export function giveNames(settled: Settled, jobs: readonly Job[], open: Open): void {
  keepOverDoubles(settled, jobs, open);
  for (let again = true; again;) {
    again = false;
    for (let j = 0; j < jobs.length; j++) {
      if (open.given[j] !== NOBODY) continue;
      const name = namedBy(settled, jobs[j]!, open.wish[j]!);
      if (name === null) continue;
      if (name === NOBODY || open.taken[name]) {
        if (name !== NOBODY) open.lost.push({ job: j, name });
        open.wish[j]!++;
        again = true;
        continue;
      }
      const winner = firstClaim(settled, jobs, open, name);
      open.given[winner] = name;
      open.taken[name] = true;
      again = true;
    }
  }
}

/** Whom a wish names outright; -1 when he is not there, `null` when it is no name. A number higher than there are linebackers is the last one. */
function namedBy({ scene }: Settled, { man, him, wishes }: Job, wish: number): number | null {
  const finder = wishes[wish]?.finder;
  if (!finder || finder.claim !== 'named') return null;
  const found = finder.seek(scene, man, him, always);
  if (found !== NOBODY || !finder.orLast) return found;
  return scene.linebackers[scene.linebackers.length - 1] ?? NOBODY;
}

function firstClaim(settled: Settled, jobs: readonly Job[], open: Open, name: number): number {
  let best = NOBODY;
  for (let j = 0; j < jobs.length; j++) {
    if (open.given[j] !== NOBODY || namedBy(settled, jobs[j]!, open.wish[j]!) !== name) continue;
    if (best === NOBODY || comesBefore(settled, jobs[j]!, jobs[best]!, name)) best = j;
  }
  return best;
}

function comesBefore(settled: Settled, a: Job, b: Job, name: number): boolean {
  if ((a.kind === 'errand') !== (b.kind === 'errand')) return a.kind === 'errand';
  const [mine, his] = [wayTo(settled, a, name), wayTo(settled, b, name)];
  if (lessThan(mine, his) || moreThan(mine, his)) return mine < his;
  return moreThan(a.from, b.from);
}

/** A double keeps a linebacker who stands straight behind the man it doubles. */
function keepOverDoubles(settled: Settled, jobs: readonly Job[], { wish, given, taken, kept }: Open): void {
  const { scene } = settled;
  for (const backer of scene.linebackers) {
    if (taken[backer]) continue;
    const { x } = scene.defenders[backer]!;
    let keeper = NOBODY;
    for (let j = 0; j < jobs.length; j++) {
      const { kind, from, on } = jobs[j]!;
      if (kind !== 'exit' || on === NOBODY || given[j] !== NOBODY || !atMost(Math.abs(x - from), STACK_WIDTH)) continue;
      if (keeper === NOBODY || lessThan(Math.abs(x - from), Math.abs(x - jobs[keeper]!.from))) keeper = j;
    }
    if (keeper === NOBODY || jobs.some((j, i) => j.kind === 'errand' && namedBy(settled, j, wish[i]!) === backer))
      continue;
    given[keeper] = backer;
    kept.push(keeper);
    taken[backer] = true;
  }
}
