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

export function columnOf(numbers: Int32Array): Column {
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
