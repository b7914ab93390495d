import { lessThan } from '../../geometry/compare';
import { CLIMB_REACH } from '../../geometry/tolerances';
import { NOBODY } from '../../vocabulary/scene';
import type { Settled } from '../settle/settled';
import { wayTo, type Job } from './jobs';
import { doCross } from './search';

const NOBODY_TRADED: readonly number[] = [];

/**
 * Two men whose names would send them across each other trade their linebackers: a number says who is meant in the usual picture, and nobody
 * crosses a team mate for it. `given` says whom each job has and is put right; whoever a double keeps stays with it. Gives the jobs that
 * traded.
 */
export function untangle(
  settled: Settled,
  jobs: readonly Job[],
  given: number[],
  kept: readonly number[],
): readonly number[] {
  if (jobs.length < 2) return NOBODY_TRADED;
  const { scene } = settled;
  const traded: number[] = [];
  const mayTrade = (j: number): boolean =>
    given[j] !== NOBODY && jobs[j]!.kind !== 'errand' && !kept.includes(j) && scene.linebackers.includes(given[j]!);
  const reaches = (j: number, d: number): boolean => lessThan(wayTo(settled, jobs[j]!, d), CLIMB_REACH);
  for (let i = 0; i + 1 < jobs.length; i++) {
    if (!mayTrade(i)) continue;
    for (let j = i + 1; j < jobs.length; j++) {
      if (!mayTrade(j)) continue;
      const [his, mates] = [given[i]!, given[j]!];
      if (!doCross(jobs[i]!.from, scene.defenders[his]!.x, jobs[j]!.from, scene.defenders[mates]!.x)) continue;
      if (!reaches(i, mates) || !reaches(j, his)) continue;
      [given[i], given[j]] = [mates, his];
      traded.push(i, j);
    }
  }
  return traded;
}
