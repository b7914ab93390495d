import { declaredNames } from './read';
import { HEAD_KEYS, HEAD_VALUES } from './read-lines';
import { expectedAfter } from './read-sentence';
import { readTokens } from './tokens';

export interface Completion {
  /** Column (from 1) where the word being typed begins. */
  readonly from: number;
  readonly options: readonly string[];
}

const BEGINNINGS = ['when', 'otherwise:', 'always:'];
/** How lines begin that declare something. */
export const DECLARATIONS = ['tag', 'seat', 'look', 'box one more when', 'change to', 'deal'];

/** What could stand at a place of a scheme's text: the words the rule language allows there, by what is written before it. */
export function completeAt(text: string, line: number, column: number): Completion {
  const rows = text.split('\n');
  const before = (rows[line - 1] ?? '').slice(0, column - 1);
  const typed = /[\p{L}\p{N}'’-]*$/u.exec(before)![0];
  const from = column - typed.length;
  const lead = before.slice(0, before.length - typed.length);
  const names = declaredNames(readTokens(text).lines);
  const of = (options: readonly string[]): Completion => ({
    from,
    options: options.filter((o) => o.toLowerCase().startsWith(typed.toLowerCase())),
  });
  const indented = /^\s/.test(before);
  const [row] = readTokens(lead).lines;
  if (!row)
    return of(
      indented ? BEGINNINGS : [...HEAD_KEYS, ...DECLARATIONS, ...expectedAfter({ tokens: [] }, 'group', names)],
    );
  if (indented) return of(expectedAfter(row, 'sentence', names));
  const key = row.tokens[0]!.text as (typeof HEAD_KEYS)[number];
  if (HEAD_KEYS.includes(key))
    return {
      from: key.length + 2,
      options: (HEAD_VALUES[key] ?? []).filter((v) => v.startsWith(before.slice(key.length).trim())),
    };
  return of(expectedAfter(row, 'group', names));
}
