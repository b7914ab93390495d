/** Runs what is asked for one after the other, however fast it is asked: each begins with what the one before has left. */
export function inTurn(): <T>(what: () => Promise<T>) => Promise<T> {
  let last: Promise<unknown> = Promise.resolve();
  return (what) => {
    const next = last.then(what, what);
    last = next;
    return next;
  };
}
