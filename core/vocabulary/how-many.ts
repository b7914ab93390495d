/** So many of something: "1 snap", "2 snaps"; `many` where it is not the word with an s. */
export const howMany = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;
