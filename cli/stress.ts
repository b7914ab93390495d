import { availableParallelism } from 'node:os';
import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { formationFrom, schemeFrom, spaceFrom } from '../core/library/library';
import { readFormation } from '../core/language/lineups/read-formation';
import type { Settings } from '../core/model/settings';
import type { Side } from '../core/model/side';
import { prepareCall } from '../core/resolve/resolve';
import { openSpace } from '../core/stress/space';
import { addTallies, NO_TALLY, sharePlan, stress, type StressPlan, type Tally } from '../core/stress/stress';
import { need } from './material';

/** What a thread needs: texts, so that nothing but plain data crosses. */
export interface StressJob {
  readonly scheme: string;
  readonly formation: { readonly text: string; readonly inline: boolean };
  readonly space: string;
  readonly side: Side;
  readonly tags: readonly string[];
  readonly without: readonly string[];
  readonly settings: Settings;
}

/** Fronts a thread works out before it says how far it is. */
const CHUNK = 5_000;

export function openJob(job: StressJob) {
  const formation = need(job.formation.inline ? readFormation(job.formation.text) : formationFrom(job.formation.text), 'formation');
  const scheme = need(schemeFrom(job.scheme), 'scheme');
  const space = need(openSpace(need(spaceFrom(job.space), 'space'), formation, job.settings), 'space');
  return { space, prepared: prepareCall(scheme, formation, { side: job.side, tags: job.tags, without: job.without, settings: job.settings }) };
}

/** Runs a plan on every core; `told` hears after every chunk how many fronts are done. */
export async function stressOnThreads(job: StressJob, plan: StressPlan, told: (done: number) => void): Promise<Tally> {
  let done = 0;
  const parts = sharePlan(plan, Math.min(availableParallelism(), Math.ceil((plan.to - plan.from) / CHUNK)));
  const tallies = await Promise.all(parts.map((part) => new Promise<Tally>((answer, fail) => {
    const worker = new Worker(__filename, { workerData: { job, part } });
    worker.on('message', (message: { done: number } | { tally: Tally }) => {
      if ('tally' in message) answer(message.tally);
      else told(done += message.done);
    });
    worker.on('error', fail);
  })));
  return tallies.reduce(addTallies, NO_TALLY);
}

/** The other half: what a thread does. */
export function runStressThread(): void {
  const { job, part } = workerData as { job: StressJob; part: StressPlan };
  const { space, prepared } = openJob(job);
  let tally = NO_TALLY;
  for (let from = part.from; from < part.to; from += CHUNK) {
    const to = Math.min(part.to, from + CHUNK);
    tally = addTallies(tally, stress(prepared, space, { ...part, from, to }));
    parentPort!.postMessage({ done: to - from });
  }
  parentPort!.postMessage({ tally });
}

export const isStressThread = (): boolean => !isMainThread;

const share = (part: number, whole: number): string => `${part.toLocaleString('en')} (${whole ? ((100 * part) / whole).toFixed(1) : '0'} %)`;

/** A tally as lines of text: shares, then causes with the plainest front of each. */
export function showTally(tally: Tally, describe: (choice: readonly number[]) => string): string {
  return [
    `${tally.fronts.toLocaleString('en')} fronts: sound ${share(tally.sound, tally.fronts)}, at risk ${share(tally.atRisk, tally.fronts)}, broken ${share(tally.broken, tally.fronts)}`,
    ...(tally.skipped ? [`${tally.skipped.toLocaleString('en')} more would have put two men on one spot`] : []),
    `holes in the rules: ${tally.holes.toLocaleString('en')}`, '',
    ...tally.causes.slice(0, 12).flatMap((c) => [`${c.severity === 'broken' ? 'Broken ' : 'At risk'} ${String(c.count).padStart(8)}  ${c.smallest.message}`, `${' '.repeat(18)}${describe(c.smallest.choice)}`]),
    ...(tally.causes.length > 12 ? [`... and ${tally.causes.length - 12} more causes (--json has them all)`] : []),
  ].join('\n');
}
