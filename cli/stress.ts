import { availableParallelism } from 'node:os';
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { openJob, STRESS_CHUNK, type StressJob } from '../core/calls/stress-job';
import { addTallies, NO_TALLY, sharePlan, stress, type StressPlan, type Tally } from '../core/stress/stress';
import { need } from './material';

/** Runs a plan on every core; `told` hears after every chunk how many fronts are done. */
export async function stressOnThreads(job: StressJob, plan: StressPlan, told: (done: number) => void): Promise<Tally> {
  let done = 0;
  const parts = sharePlan(plan, Math.min(availableParallelism(), Math.ceil((plan.to - plan.from) / STRESS_CHUNK)));
  const tallies = await Promise.all(
    parts.map(
      (part) =>
        new Promise<Tally>((answer, fail) => {
          const worker = new Worker(__filename, { workerData: { job, part } });
          worker.on('message', (message: { done: number } | { tally: Tally }) => {
            if ('tally' in message) answer(message.tally);
            else told((done += message.done));
          });
          worker.on('error', fail);
        }),
    ),
  );
  return tallies.reduce(addTallies, NO_TALLY);
}

/** The other half: what a thread does. */
export function runStressThread(): void {
  const { job, part } = workerData as { job: StressJob; part: StressPlan };
  const { space, prepared } = need(openJob(job), 'job');
  let tally = NO_TALLY;
  for (let from = part.from; from < part.to; from += STRESS_CHUNK) {
    const to = Math.min(part.to, from + STRESS_CHUNK);
    tally = addTallies(tally, stress(prepared, space, { ...part, from, to }));
    parentPort!.postMessage({ done: to - from });
  }
  parentPort!.postMessage({ tally });
}

export const isStressThread = (): boolean => !isMainThread;

const share = (part: number, whole: number): string =>
  `${part.toLocaleString('en')} (${whole ? ((100 * part) / whole).toFixed(1) : '0'} %)`;

/** A tally as lines of text: shares, then causes with the plainest front of each. */
export function showTally(tally: Tally, describe: (choice: readonly number[]) => string): string {
  return [
    `${tally.fronts.toLocaleString('en')} fronts: sound ${share(tally.sound, tally.fronts)}, at risk ${share(tally.atRisk, tally.fronts)}, broken ${share(tally.broken, tally.fronts)}`,
    ...(tally.skipped
      ? [
          `${tally.skipped.toLocaleString('en')} more would have put two men on one spot, or are against the rules of the league`,
        ]
      : []),
    `holes in the rules: ${tally.holes.toLocaleString('en')}`,
    '',
    ...tally.causes
      .slice(0, 12)
      .flatMap((c) => [
        `${c.severity === 'broken' ? 'Broken ' : 'At risk'} ${String(c.count).padStart(8)}  ${c.smallest.message}`,
        `${' '.repeat(18)}${describe(c.smallest.choice)}`,
      ]),
    ...(tally.causes.length > 12 ? [`... and ${tally.causes.length - 12} more causes (--json has them all)`] : []),
  ].join('\n');
}
