/** A list in an address: "a,b". */
export const listOf = (value: unknown): string[] => (typeof value === 'string' && value ? value.split(',') : []);
/** A text in an address, no longer than anybody would write; the usual one when there is none. */
export const textOf = (value: unknown, usual: string): string => (typeof value === 'string' && value ? value.slice(0, 900) : usual);
