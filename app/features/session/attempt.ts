import type { Ref } from 'vue';
import { RequestProblem } from './request';

export type Attempt = (what: () => Promise<void>) => Promise<boolean>;

/**
 * Runs what talks to the server: true when it was done, else what went wrong there stands in `problem` in words, with `safe` when the server
 * could not be reached. Mistakes of ours are thrown.
 */
export const attempting =
  (problem: Ref<string>, safe = ''): Attempt =>
  async (what) => {
    problem.value = '';
    try {
      await what();
      return true;
    } catch (failure) {
      if (!(failure instanceof RequestProblem)) throw failure;
      problem.value = failure.offline && safe ? `${failure.message} ${safe}` : failure.message;
      return false;
    }
  };
