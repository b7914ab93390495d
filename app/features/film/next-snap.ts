/** The snap so many before or after a number in a list; from one that is not in it, the nearest that way. `null` beyond its ends. */
export function snapAway<S extends { readonly number: number }>(
  snaps: readonly S[],
  from: number,
  step: number,
): S | null {
  const onwards = step > 0;
  const that = snaps.filter((s) => (onwards ? s.number > from : s.number < from));
  return that.at(onwards ? step - 1 : step) ?? null;
}
