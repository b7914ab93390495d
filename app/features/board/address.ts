/** A list in an address: "a,b". */
export const listOf = (value: unknown): string[] => (typeof value === 'string' && value ? value.split(',') : []);
/** Lists for an address, those without anything left out. */
export const sayLists = (lists: Readonly<Record<string, readonly string[]>>): Record<string, string> =>
  Object.fromEntries(
    Object.entries(lists)
      .filter(([, list]) => list.length > 0)
      .map(([name, list]) => [name, list.join(',')]),
  );
/** A text in an address, no longer than anybody would write; the usual one when there is none. */
export const textOf = (value: unknown, usual: string): string =>
  typeof value === 'string' && value ? value.slice(0, 900) : usual;
