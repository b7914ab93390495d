/** Nothing waits longer than this for a moment of rest, ms. */
const AT_LAST = 2000;

/** A moment in which the page has nothing more pressing to do: what was asked for is on the screen by then. */
export const atRest = (): Promise<void> =>
  new Promise((done) => {
    // Not every browser says when it has a moment.
    if (typeof requestIdleCallback === 'function') requestIdleCallback(() => done(), { timeout: AT_LAST });
    else setTimeout(done);
  });
