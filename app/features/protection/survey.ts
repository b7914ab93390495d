import { onScopeDispose, ref, shallowRef } from 'vue';
import type { ProtectJob, Proved } from '#core/calls/protect-job';
import type { ProtectAnswer } from '~/workers/protect.worker';

/** Many protections or many fronts, proved in a worker; a new question ends the old one. */
export function useSurvey() {
  const found = shallowRef<readonly Proved[]>([]);
  const done = ref(0);
  const total = ref(0);
  const running = ref(false);
  const problem = ref('');
  let worker: Worker | null = null;

  function stop(): void {
    worker?.terminate();
    worker = null;
    running.value = false;
  }

  function ask(job: ProtectJob): void {
    stop();
    found.value = [];
    done.value = 0;
    problem.value = '';
    total.value = job.calls.length * job.fronts.length;
    running.value = true;
    const mine = new Worker(new URL('../../workers/protect.worker.ts', import.meta.url), { type: 'module' });
    worker = mine;
    mine.onmessage = ({ data }: MessageEvent<ProtectAnswer>) => {
      if (worker !== mine) return;
      if (data.kind === 'end') return stop();
      found.value = [...found.value, ...data.found];
      done.value = data.done;
    };
    mine.onerror = (event) => {
      problem.value = `The comparison stopped: ${event.message || 'a worker could not be started'}. What was found so far stands.`;
      stop();
    };
    mine.postMessage(job);
  }

  onScopeDispose(stop);
  return { found, done, total, running, problem, ask, stop };
}
