/** Somebody who is talked with: a worker, or a stand-in in tests. */
export interface Other<Said, Heard> {
  onmessage: ((event: { data: Heard }) => void) | null;
  onerror: ((event: { message?: string }) => void) | null;
  postMessage: (message: Said, transfer?: Transferable[]) => void;
  terminate: () => void;
}

/** What anybody may answer instead: what went wrong. */
export interface Wrong {
  readonly kind: 'wrong';
  readonly message: string;
}
export const wrong = (failure: unknown): Wrong => ({
  kind: 'wrong',
  message: failure instanceof Error ? failure.message : String(failure),
});

interface Waiting<Answer> {
  readonly done: (answer: Answer) => void;
  readonly fail: (reason: Error) => void;
}

/**
 * Says things to somebody who answers each of them, in the order in which they were said; several may be on the way. What went wrong is an
 * error for everything that was not answered, and for all that is said afterwards.
 */
export function talkWith<Said, Answer extends { readonly kind: string }>(
  other: Other<Said, Answer | Wrong>,
  broken: string,
) {
  const waiting: Waiting<Answer>[] = [];
  let end: Error | null = null;
  const fail = (message: string): void => {
    end = new Error(message);
    for (const one of waiting.splice(0)) one.fail(end);
  };
  other.onmessage = ({ data }) => (isWrong(data) ? fail(data.message) : waiting.shift()?.done(data));
  other.onerror = ({ message }) => fail(message ?? broken);
  return (message: Said, transfer: Transferable[] = []): Promise<Answer> =>
    new Promise((done, failed) => {
      if (end) return failed(end);
      waiting.push({ done, fail: failed });
      other.postMessage(message, transfer);
    });
}

const isWrong = <Answer extends { readonly kind: string }>(data: Answer | Wrong): data is Wrong =>
  data.kind === 'wrong';
