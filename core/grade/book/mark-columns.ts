import type { Dimension } from './dimensions';
import { FOE_OF } from './marked';
import type { SaidDimension } from './said';

/** What is kept of a mark in numbers: words by their numbers, whose it is by ids, `yard` as the play result has it. */
export const MARK_COLUMNS = [
  ...['kind', 'grade', 'snap', 'game', 'number', 'player'],
  ...['blocker', 'unit', 'pair', 'play', 'block', 'target', 'help', 'front', 'formation', 'side'],
  ...['down', 'distance', 'quarter', 'zone', 'gained', 'yard'],
] as const;
export type MarkColumn = (typeof MARK_COLUMNS)[number];

/** Stands in a column for nothing. */
export const NONE = -(2 ** 31);

/** A column in which each value is written once: of a mark the value is `values[codes[place]]`. */
export interface Column {
  readonly values: Int32Array;
  readonly codes: Int32Array;
}

/** Columns take this many bytes a mark at the most. */
export const BYTES_A_MARK = 8;

/** Numbers that lie so close, by how many there are, are looked up by their place in a row: much faster than anywhere else. */
const CLOSE = 4;

/** What no two marks share: the grade a mark is. */
const OF_ONE_MARK: ReadonlySet<MarkColumn> = new Set<MarkColumn>(['grade']);

/** A column of that name of these numbers, a number a mark. */
export const columnFor = (name: MarkColumn, numbers: Int32Array): Column =>
  OF_ONE_MARK.has(name) ? { values: numbers, codes: numbers.map((_, place) => place) } : columnOf(numbers);

/** Values get their codes as they come. */
export function columnOf(numbers: Int32Array): Column {
  let least = 2 ** 31;
  let most = NONE;
  for (let i = 0; i < numbers.length; i++) {
    const value = numbers[i]!;
    if (value === NONE) continue;
    if (value < least) least = value;
    if (value > most) most = value;
  }
  return most - least > CLOSE * numbers.length ? farApart(numbers) : close(numbers, least, most);
}

/** Numbers of which none but `NONE` lies outside these two. */
function close(numbers: Int32Array, least: number, most: number): Column {
  /** Of each number its code and one more; `NONE` lies far from all others and comes first. */
  const row = new Int32Array(Math.max(0, most - least + 1) + 1);
  const values: number[] = [];
  const codes = new Int32Array(numbers.length);
  for (let i = 0; i < numbers.length; i++) {
    const value = numbers[i]!;
    const place = value === NONE ? 0 : value - least + 1;
    if (row[place] === 0) row[place] = values.push(value);
    codes[i] = row[place]! - 1;
  }
  return { values: new Int32Array(values), codes };
}

function farApart(numbers: Int32Array): Column {
  const codeOf = new Map<number, number>();
  const codes = new Int32Array(numbers.length);
  for (let i = 0; i < numbers.length; i++) {
    const value = numbers[i]!;
    let code = codeOf.get(value);
    if (code === undefined) {
      code = codeOf.size;
      codeOf.set(value, code);
    }
    codes[i] = code;
  }
  return { values: Int32Array.from(codeOf.keys()), codes };
}

/** A column as one row of numbers, to be kept: how many values it has, these, and the codes. */
export function rowOf({ values, codes }: Column): Int32Array {
  const row = new Int32Array(1 + values.length + codes.length);
  row[0] = values.length;
  row.set(values, 1);
  row.set(codes, 1 + values.length);
  return row;
}

/** The column of such a row, which it shares. */
export function columnOfRow(row: Int32Array): Column {
  const codesFrom = 1 + row[0]!;
  return { values: row.subarray(1, codesFrom), codes: row.subarray(codesFrom) };
}

/** Marks of one season column by column: the same place in every column is of one mark; the newest game first, in a game as they were played. */
export interface SeasonMarks {
  readonly season: number;
  readonly size: number;
  readonly column: (name: MarkColumn) => Column;
}

/** What numbers are called. */
export interface Names {
  readonly word: (number: number) => string | null;
  readonly opponent: (game: number) => string | null;
}

/** Marks of a season put under keys: of a mark it is `keys[codes[place]]`, `null` for none. */
export interface Grouping {
  readonly keys: readonly (string | null)[];
  readonly codes: Int32Array;
}

/** A dimension of marks: which columns it is read off, and how. */
interface OfMarks {
  readonly columns: readonly MarkColumn[];
  readonly group: (marks: SeasonMarks, names: Names) => Grouping;
}

const by = (name: MarkColumn, says: (value: number, names: Names) => string | null): OfMarks => ({
  columns: [name],
  group: (marks, names) => {
    const { values, codes } = marks.column(name);
    return { keys: Array.from(values, (value) => (value === NONE ? null : says(value, names))), codes };
  },
});
const number = (name: MarkColumn): OfMarks => by(name, String);
const word = (name: MarkColumn): OfMarks => by(name, (value, names) => names.word(value));

/** Everything under one key. */
export const allUnder = (key: string | null, { size }: SeasonMarks): Grouping => ({
  keys: [key],
  codes: new Int32Array(size),
});

/** Their man: his letters, and whose he is. */
const foe: OfMarks = {
  columns: ['game', 'target'],
  group: (marks, names) => {
    const [whose, letters] = [opponent.group(marks, names), target.group(marks, names)];
    return {
      keys: whose.keys.flatMap((of) => letters.keys.map((l) => (l === null || of === null ? null : l + FOE_OF + of))),
      codes: whose.codes.map((code, place) => code * letters.keys.length + letters.codes[place]!),
    };
  },
};
const target = word('target');
const opponent = by('game', (game, names) => names.opponent(game));

/** Every dimension that is not of what a mark says. */
export const OF_MARKS: Readonly<Record<Exclude<Dimension, SaidDimension>, OfMarks>> = {
  man: number('player'),
  place: word('blocker'),
  unit: word('unit'),
  pair: word('pair'),
  play: word('play'),
  block: word('block'),
  foe,
  help: word('help'),
  front: word('front'),
  formation: word('formation'),
  side: word('side'),
  down: number('down'),
  distance: word('distance'),
  quarter: number('quarter'),
  zone: word('zone'),
  gained: word('gained'),
  yard: number('yard'),
  opponent,
  game: number('game'),
  season: { columns: [], group: (marks) => allUnder(String(marks.season), marks) },
};
