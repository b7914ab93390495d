/** A question with its number: the higher one is the later. */
export interface Question<Job> {
  readonly id: number;
  readonly job: Job;
}
export type Answer<Part> =
  | { readonly id: number; readonly kind: 'part'; readonly found: readonly Part[]; readonly done: number }
  | { readonly id: number; readonly kind: 'end' }
  | { readonly id: number; readonly kind: 'wrong'; readonly message: string };

/** What a worker says and hears; its global scope, or a stand-in in tests. */
export interface Port {
  addEventListener(type: 'message', hear: (event: { readonly data: unknown }) => void): void;
  postMessage(message: unknown): void;
}

/** Lets a question that has come in meanwhile be heard. */
const turn = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** Transport only: works questions out piece by piece and sends what it has; a later question ends the one at work. */
export function serveJobs<Job, Part>(port: Port, work: (job: Job) => Iterable<Part>, batch: number): void {
  let latest = 0;
  const say = (answer: Answer<Part>): void => port.postMessage(answer);

  async function answer({ id, job }: Question<Job>): Promise<void> {
    latest = id;
    let found: Part[] = [];
    let done = 0;
    for (const part of work(job)) {
      found.push(part);
      done++;
      if (found.length < batch) continue;
      say({ id, kind: 'part', found, done });
      found = [];
      await turn();
      if (latest !== id) return;
    }
    if (found.length > 0) say({ id, kind: 'part', found, done });
    say({ id, kind: 'end' });
  }

  port.addEventListener('message', ({ data }) => {
    const question = data as Question<Job>;
    answer(question).catch((failure: unknown) =>
      say({ id: question.id, kind: 'wrong', message: failure instanceof Error ? failure.message : String(failure) }),
    );
  });
}
