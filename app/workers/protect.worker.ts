import { proveAll, type Proved, type ProtectJob } from '#core/calls/protect-job';

export type ProtectAnswer = { kind: 'proved'; done: number; found: readonly Proved[] } | { kind: 'end' };
const say = (answer: ProtectAnswer): void => postMessage(answer);
/** Proofs sent at a time. */
const BATCH = 8;

/** Transport only: works a job out proof by proof and sends what it has. It is ended from outside. */
addEventListener('message', (event: MessageEvent<ProtectJob>) => {
  let found: Proved[] = [];
  let done = 0;
  const send = (): void => {
    say({ kind: 'proved', done, found });
    found = [];
  };
  for (const answer of proveAll(event.data)) {
    done++;
    if (answer.ok) found.push(answer.value);
    if (found.length >= BATCH) send();
  }
  send();
  say({ kind: 'end' });
});
