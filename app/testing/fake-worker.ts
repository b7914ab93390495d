import { vi } from 'vitest';
import { adviseOn, type AdviceJob } from '#core/calls/advice-job';
import { answerAll, type AnswersJob } from '#core/calls/answers-job';
import { proposals, type ProposeJob } from '#core/grade/propose/propose-job';
import { proveAll, type ProtectJob } from '#core/calls/protect-job';
import { serveJobs } from '~/workers/serve';

type Heard = (event: { readonly data: unknown }) => void;

/** The workers of the application, run in the test; what crosses to them and back is cloned, as it is between threads. */
class FakeWorker {
  onmessage: Heard | null = null;
  onerror: ((event: { message: string }) => void) | null = null;
  private hear: Heard = () => undefined;
  private isAlive = true;

  constructor(url: URL) {
    const port = {
      addEventListener: (_type: 'message', hear: Heard) => void (this.hear = hear),
      postMessage: (message: unknown) => {
        const data: unknown = structuredClone(message);
        if (this.isAlive) this.onmessage?.({ data });
      },
    };
    const name = url.pathname;
    if (name.includes('answers')) serveJobs<AnswersJob, unknown>(port, answerAll, 8);
    else if (name.includes('advice')) serveJobs<AdviceJob, unknown>(port, adviseOn, 1);
    else if (name.includes('protect')) serveJobs<ProtectJob, unknown>(port, proveAll, 8);
    else if (name.includes('propose')) serveJobs<ProposeJob, unknown>(port, proposals, 100);
    else throw new Error(`there is no worker ${name}`);
  }

  postMessage(message: unknown): void {
    const data: unknown = structuredClone(message);
    setTimeout(() => this.isAlive && this.hear({ data }));
  }

  terminate(): void {
    this.isAlive = false;
  }
}

/** Puts workers in their place for one test; broken ones fail as soon as they are asked. */
export function withWorkers({ broken = false } = {}): void {
  class Broken extends FakeWorker {
    override postMessage(): void {
      setTimeout(() => this.onerror?.({ message: 'out of memory' }));
    }
  }
  vi.stubGlobal('Worker', broken ? Broken : FakeWorker);
}
