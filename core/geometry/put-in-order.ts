/** Puts an item into its place in a list kept in order, behind its equals; lists of a front are too short for anything cleverer. */
export function putInOrder<T>(list: T[], item: T, compare: (a: T, b: T) => number): void {
  let at = list.length;
  list.push(item);
  for (; at > 0 && compare(list[at - 1]!, item) > 0; at--) list[at] = list[at - 1]!;
  list[at] = item;
}
