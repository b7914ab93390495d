import { error, type Diagnostic, type Span } from '../diagnostics/diagnostic';

export interface Token {
  readonly text: string;
  readonly kind: 'word' | 'mark' | 'quote';
  readonly span: Span;
}

/** One line of a text, cut into words. Blank lines are dropped; comments are kept apart. */
export interface SourceLine {
  readonly number: number;
  readonly indented: boolean;
  readonly tokens: readonly Token[];
  readonly raw: string;
  /** Whole comment lines standing above this one, without their marks. */
  readonly comments: readonly string[];
  /** The comment at the end of this line. */
  readonly trailing: string | null;
}

export interface SourceText {
  readonly lines: readonly SourceLine[];
  /** Comments after the last line. */
  readonly closing: readonly string[];
  readonly diagnostics: readonly Diagnostic[];
}

/** A rule sheet has a few hundred lines; more than this is something else. */
export const MAX_LINES = 5_000;
const TOKEN = /\s*(?:("(?:[^"]*)")|([\p{L}\p{N}@.][\p{L}\p{N}@.'’_-]*|-?\d[\d.]*)|([,;:()=])|(\S))/uy;

/** Cuts a text into lines of tokens. Never throws; what has no meaning becomes a diagnostic and is left out. */
export function readTokens(text: string): SourceText {
  const diagnostics: Diagnostic[] = [];
  const lines: SourceLine[] = [];
  let comments: string[] = [];
  const rows = text.replace(/\r\n?/g, '\n').split('\n');
  if (rows.length > MAX_LINES) {
    return {
      lines,
      closing: [],
      diagnostics: [error('text.too-long', { line: MAX_LINES, column: 1, endColumn: 1 }, { limit: MAX_LINES })],
    };
  }
  rows.forEach((row, index) => {
    const number = index + 1;
    const mark = commentStart(row);
    const code = mark < 0 ? row : row.slice(0, mark);
    const comment = mark < 0 ? null : row.slice(mark + 1).trim();
    if (code.trim() === '') {
      if (comment !== null) comments.push(comment);
      return;
    }
    lines.push({
      number,
      indented: /^\s/.test(code),
      raw: code,
      comments,
      trailing: comment,
      tokens: readRow(code, number, diagnostics),
    });
    comments = [];
  });
  return { lines, closing: comments, diagnostics };
}

/** Column of the `#` that starts a comment outside quotation marks; -1 for none. */
function commentStart(row: string): number {
  let quoted = false;
  for (let i = 0; i < row.length; i++) {
    if (row[i] === '"') quoted = !quoted;
    else if (row[i] === '#' && !quoted) return i;
  }
  return -1;
}

function readRow(code: string, line: number, diagnostics: Diagnostic[]): Token[] {
  const tokens: Token[] = [];
  TOKEN.lastIndex = 0;
  for (let match = TOKEN.exec(code); match; match = TOKEN.exec(code)) {
    const text = match[1] ?? match[2] ?? match[3] ?? match[4]!;
    const end = TOKEN.lastIndex;
    const span = { line, column: end - text.length + 1, endColumn: end + 1 };
    if (match[4] !== undefined) {
      diagnostics.push(text === '"' ? error('text.quote', span) : error('text.character', span, { found: text }));
      if (text === '"') break;
      continue;
    }
    if (match[1]) tokens.push({ text: text.slice(1, -1), kind: 'quote', span });
    else tokens.push({ text, kind: match[2] ? 'word' : 'mark', span });
  }
  return tokens;
}

/** The place just after the last token of a line. */
export function endOf(line: SourceLine): Span {
  const last = line.tokens[line.tokens.length - 1];
  const column = last ? last.span.endColumn : 1;
  return { line: line.number, column, endColumn: column };
}
