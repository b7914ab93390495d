import { openJob, STRESS_CHUNK, type StressJob } from '#core/calls/stress-job';
import { addTallies, NO_TALLY, stress, type StressPlan, type Tally } from '#core/stress/stress';

export type StressAnswer =
  { kind: 'part'; done: number; tally: Tally } | { kind: 'end' } | { kind: 'wrong'; message: string };
const say = (answer: StressAnswer): void => postMessage(answer);

/** Transport only: reads a job, works its plan out in chunks and sends the tally so far. It is ended from outside. */
addEventListener('message', (event: MessageEvent<{ job: StressJob; plan: StressPlan }>) => {
  const { job, plan } = event.data;
  const opened = openJob(job);
  if (!opened.ok) return say({ kind: 'wrong', message: opened.diagnostics.map((d) => d.code).join(', ') });
  let tally = NO_TALLY;
  for (let from = plan.from; from < plan.to; from += STRESS_CHUNK) {
    const to = Math.min(plan.to, from + STRESS_CHUNK);
    tally = addTallies(tally, stress(opened.value.prepared, opened.value.space, { ...plan, from, to }));
    say({ kind: 'part', done: to - plan.from, tally });
  }
  say({ kind: 'end' });
});
