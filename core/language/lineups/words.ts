import type { Span } from '../../diagnostics/diagnostic';

export interface Word {
  readonly text: string;
  readonly span: Span;
}

/** The words of a clause, with where they stand; brackets and commas part words unless `keepBrackets` holds "(x, y)" together. */
export function wordsOf(text: string, origin: Span): Word[] {
  return [...text.matchAll(/\([^)]*\)|[^\s;]+/g)].map((match) => ({
    text: match[0],
    span: {
      line: origin.line,
      column: origin.column + match.index,
      endColumn: origin.column + match.index + match[0].length,
    },
  }));
}

/** Cuts an inline text into clauses at `;` and line ends, each with its place. */
export function clausesOf(text: string): { text: string; span: Span }[] {
  return text.split('\n').flatMap((row, r) => {
    const code = row.split('#')[0]!;
    return [...code.matchAll(/[^;]+/g)]
      .filter((m) => m[0].trim() !== '')
      .map((m) => {
        const lead = m[0].length - m[0].trimStart().length;
        const column = m.index + lead + 1;
        return { text: m[0].trim(), span: { line: r + 1, column, endColumn: column + m[0].trim().length } };
      });
  });
}
