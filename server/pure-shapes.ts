/** Where a shape is made or made of another one; reading with one may refuse, and is no such thing. */
const MAKES_A_SHAPE = /(?<![\w.$])(?=(?:z|[A-Z]\w*Schema)\.(?!parse|safeParse)\w+\()/g;

/**
 * A module's text in which making a shape is marked as doing nothing but that: a bundler then leaves out of a page every shape that nothing
 * there is read with.
 */
export const withPureShapes = (code: string): string => code.replace(MAKES_A_SHAPE, '/*#__PURE__*/ ');
