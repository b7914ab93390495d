import { getCurrentScope, onScopeDispose, ref, shallowRef } from 'vue';
import type { Answer, Question } from './serve';

/** What of a worker is needed; tests put another in its place. */
export type WorkerLike = Pick<Worker, 'postMessage' | 'terminate' | 'onmessage' | 'onerror'>;

/** Questions to one worker: a new one takes the place of the old one, and answers to an old one are dropped. */
export function useAsked<Job, Part>(make: () => WorkerLike) {
  /** What the last question has brought so far, and what the last one that was answered to the end has brought. */
  const found = shallowRef<readonly Part[]>([]);
  const whole = shallowRef<readonly Part[]>([]);
  const done = ref(0);
  const running = ref(false);
  const problem = ref('');
  let worker: WorkerLike | null = null;
  let latest = 0;
  /** Whoever asked has left: what he asks from now on, late, is asked for nobody. */
  let hasLeft = false;

  function stop(): void {
    worker?.terminate();
    worker = null;
    running.value = false;
  }

  /** What was found is about something else now: nothing of it is shown any more. */
  function forget(): void {
    latest++;
    found.value = [];
    whole.value = [];
    done.value = 0;
    problem.value = '';
    running.value = false;
  }

  function hear(answer: Answer<Part>): void {
    if (answer.id !== latest) return;
    if (answer.kind === 'part') {
      found.value = [...found.value, ...answer.found];
      done.value = answer.done;
      return;
    }
    running.value = false;
    if (answer.kind === 'end') whole.value = found.value;
    else problem.value = `This could not be worked out: ${answer.message}.`;
  }

  function start(): WorkerLike {
    const started = make();
    started.onmessage = ({ data }: MessageEvent<Answer<Part>>) => hear(data);
    started.onerror = (event) => {
      const why = (event as Partial<ErrorEvent>).message || 'a worker could not be started';
      problem.value = `The work stopped: ${why}. What was found so far stands.`;
      stop();
    };
    return started;
  }

  function ask(job: Job): void {
    if (hasLeft) return;
    latest++;
    found.value = [];
    done.value = 0;
    problem.value = '';
    running.value = true;
    worker ??= start();
    worker.postMessage({ id: latest, job } satisfies Question<Job>);
  }

  function leave(): void {
    hasLeft = true;
    stop();
  }
  if (getCurrentScope()) onScopeDispose(leave);
  return { found, whole, done, running, problem, ask, forget, stop };
}
