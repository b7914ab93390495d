import type { Ref } from 'vue';
import { RequestProblem } from './request';

/** `isWanted`: false once nobody wants to know any more what becomes of it. */
export type Attempt = (what: () => Promise<void>, isWanted?: () => boolean) => Promise<boolean>;

/**
 * Runs what talks to the server: true when it was done, else what went wrong there stands in `problem` in words, with `safe` when the server
 * could not be reached. What fails when nobody wants it any more writes over nothing. Mistakes of ours are thrown.
 */
export const attempting =
  (problem: Ref<string>, safe = ''): Attempt =>
  async (what, isWanted = () => true) => {
    problem.value = '';
    try {
      await what();
      return true;
    } catch (failure) {
      if (!(failure instanceof RequestProblem)) throw failure;
      if (!isWanted()) return false;
      problem.value = failure.offline && safe ? `${failure.message} ${safe}` : failure.message;
      return false;
    }
  };
