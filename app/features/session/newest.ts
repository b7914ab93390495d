/** What is asked for one after the other, of which only the newest is to be shown. */
export interface Newest {
  /** Begins the next one; what it gives tells whether that is still the newest. */
  readonly begin: () => () => boolean;
  /** Tells later on whether what is the newest now is so still. */
  readonly now: () => () => boolean;
}

export function onlyNewest(): Newest {
  let asked = 0;
  const now = (): (() => boolean) => {
    const mine = asked;
    return () => mine === asked;
  };
  return {
    now,
    begin: () => {
      asked++;
      return now();
    },
  };
}
