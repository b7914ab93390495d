import type { Port } from './serve';
import { wrong } from './talk';

/** Transport only: answers one message after the other, each once the one before is answered; what fails is said as what went wrong. */
export function answerInTurn<Heard, Answer>(port: Port, answer: (message: Heard) => Promise<Answer>): void {
  let last: Promise<void> = Promise.resolve();
  port.addEventListener('message', ({ data }) => {
    last = last
      .then(() => answer(data as Heard))
      .then((said) => port.postMessage(said))
      .catch((failure: unknown) => port.postMessage(wrong(failure)));
  });
}
