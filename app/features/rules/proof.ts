import { computed, onScopeDispose, ref, shallowRef } from 'vue';
import { wordDiagnostic } from '#core/diagnostics/wording';
import { blockerOf } from '#core/compare/suggest';
import { sayFront } from '#core/language/lineups/print-lineup';
import { openJob, type StressJob } from '#core/calls/stress-job';
import { addTallies, NO_TALLY, planFor, sharePlan, type Cause, type Tally } from '#core/stress/stress';
import type { StressAnswer } from '~/workers/stress.worker';

/** Most workers at once; each is one core busy. */
const MOST = 4;

/** A proof over a space of fronts in workers: partial results as they come, cancel at any time. */
export function useProof() {
  const tally = shallowRef<Tally>(NO_TALLY);
  const total = ref(0);
  const done = ref(0);
  const running = ref(false);
  const problem = ref('');
  let workers: Worker[] = [];
  let say: (cause: Cause) => string = () => '';
  let blocker: (cause: Cause) => string | null = () => null;

  function stop(): void {
    workers.forEach((w) => w.terminate());
    workers = [];
    running.value = false;
  }

  /** Forgets what was found: it was about another call. */
  function clear(): void {
    stop();
    tally.value = NO_TALLY;
    total.value = 0;
    done.value = 0;
    problem.value = '';
  }

  function start(job: StressJob, limit: number, seed: number): void {
    clear();
    const opened = openJob(job);
    if (!opened.ok) {
      problem.value = opened.diagnostics.map(wordDiagnostic).join('; ');
      return;
    }
    const { space, formation } = opened.value;
    say = (cause) => {
      const front = space.frontAt(cause.smallest.choice);
      return front ? sayFront(front, formation) : '';
    };
    blocker = (cause) => {
      const front = space.frontAt(cause.smallest.choice);
      return front ? blockerOf(cause.who, formation, front) : null;
    };
    const plan = planFor(space, limit, seed);
    total.value = plan.to - plan.from;
    running.value = true;
    const parts = sharePlan(plan, Math.max(1, Math.min(MOST, navigator.hardwareConcurrency - 1)));
    const found = parts.map(() => ({ tally: NO_TALLY, done: 0, ended: false }));
    workers = parts.map((part, i) => {
      const worker = new Worker(new URL('../../workers/stress.worker.ts', import.meta.url), { type: 'module' });
      worker.onmessage = ({ data }: MessageEvent<StressAnswer>) => {
        if (data.kind === 'wrong') problem.value = data.message;
        else if (data.kind === 'part') found[i] = { ...data, ended: false };
        else found[i]!.ended = true;
        tally.value = found.map((f) => f.tally).reduce(addTallies, NO_TALLY);
        done.value = found.reduce((sum, f) => sum + f.done, 0);
        if (data.kind === 'wrong' || found.every((f) => f.ended)) stop();
      };
      worker.onerror = (event) => {
        problem.value = `The proof stopped: ${event.message || 'a worker could not be started'}. What was found so far stands.`;
        stop();
      };
      worker.postMessage({ job, plan: part });
      return worker;
    });
  }

  onScopeDispose(stop);
  return {
    tally,
    total,
    done,
    running,
    problem,
    start,
    stop,
    clear,
    frontOf: (cause: Cause) => say(cause),
    blockerOf: (cause: Cause) => blocker(cause),
    share: computed(() => (total.value ? done.value / total.value : 0)),
  };
}
