/** One man, or one defender, of a set that is kept as the bits of a number: nobody lines up with more than thirty. */
export const bitOf = (index: number): number => 1 << index;

/** Is he in the set? */
export const has = (set: number, index: number): boolean => (set & (1 << index)) !== 0;
