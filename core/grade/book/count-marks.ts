import type { BookFilter, Dimension } from './dimensions';
import { allUnder, OF_MARKS, type Grouping, type MarkColumn, type Names, type SeasonMarks } from './mark-columns';
import { isOfSaid, VALUES_SAID } from './said';
import type { Counted, Kinds } from './sum-lines';

/** One thing marks are narrowed by: those whose code is wanted. */
interface Narrowing {
  readonly codes: Int32Array;
  readonly isWanted: readonly boolean[];
}

/** What marks are narrowed to. */
export interface Asked {
  readonly filter: BookFilter;
  /** One man's marks of these games only; `null` for everybody's of all games. */
  readonly only: { readonly player: number; readonly games: ReadonlySet<number> } | null;
}

/** Marks, what of them is asked for, and what their numbers mean. */
export interface MarksAsked {
  readonly seasons: readonly SeasonMarks[];
  readonly asked: Asked;
  readonly names: Names;
  readonly kinds: Kinds;
}

const entriesOf = (filter: BookFilter): [Dimension, string[]][] => Object.entries(filter) as [Dimension, string[]][];

/** The columns that have to be read to narrow marks, and to count them by these dimensions. */
export function columnsFor({ filter, only }: Asked, dimensions: readonly Dimension[] = []): MarkColumn[] {
  const all = [...entriesOf(filter).map(([by]) => by), ...dimensions];
  const read = all.flatMap((by) => (isOfSaid(by) ? [] : OF_MARKS[by].columns));
  return [...new Set<MarkColumn>(['kind', ...read, ...(only ? (['player', 'game'] as const) : [])])];
}

function narrowingOf(marks: SeasonMarks, { names, kinds }: MarksAsked, [by, values]: [Dimension, string[]]): Narrowing {
  const wanted = new Set(values);
  if (!isOfSaid(by)) {
    const { keys, codes } = OF_MARKS[by].group(marks, names);
    return { codes, isWanted: keys.map((key) => key !== null && wanted.has(key)) };
  }
  const { values: ids, codes } = marks.column('kind');
  const isSaid = (kind: number): boolean => VALUES_SAID[by](kinds.get(kind)!).some((value) => wanted.has(value));
  return { codes, isWanted: Array.from(ids, isSaid) };
}

function narrowingsTo(marks: SeasonMarks, { only }: Asked): Narrowing[] {
  if (!only) return [];
  const [player, game] = [marks.column('player'), marks.column('game')];
  return [
    { codes: player.codes, isWanted: Array.from(player.values, (id) => id === only.player) },
    { codes: game.codes, isWanted: Array.from(game.values, (id) => only.games.has(id)) },
  ];
}

/** The places of the marks that are asked for, in order. */
export function placesOf(marks: SeasonMarks, open: MarksAsked): Int32Array {
  let places: Int32Array = new Int32Array(marks.size);
  for (let place = 0; place < places.length; place++) places[place] = place;
  const narrowings = [
    ...narrowingsTo(marks, open.asked),
    ...entriesOf(open.asked.filter).map((entry) => narrowingOf(marks, open, entry)),
  ];
  for (const narrowing of narrowings) places = narrowed(places, narrowing);
  return places;
}

function narrowed(places: Int32Array, { codes, isWanted }: Narrowing): Int32Array {
  let many = 0;
  for (const place of places) if (isWanted[codes[place]!]) places[many++] = place;
  return places.subarray(0, many);
}

/** How many marks of each kind stand under each key of a dimension; all of them under `null` where it is one of what marks say. */
export function countBy(open: MarksAsked, by: Dimension): Counted {
  const counted = new Map<string | null, Map<number, number>>();
  for (const marks of open.seasons) {
    const grouping = isOfSaid(by) ? allUnder(null, marks) : OF_MARKS[by].group(marks, open.names);
    countInto(counted, grouping, marks, placesOf(marks, open));
  }
  return counted;
}

/** Counted in one row for each key first, as far as there are any: hundreds of thousands of marks are no more than so many additions. */
function countInto(
  counted: Map<string | null, Map<number, number>>,
  { keys, codes }: Grouping,
  marks: SeasonMarks,
  places: Int32Array,
): void {
  const { values: kinds, codes: kindAt } = marks.column('kind');
  const rows: (Int32Array | undefined)[] = [];
  for (const place of places) (rows[codes[place]!] ??= new Int32Array(kinds.length))[kindAt[place]!]!++;
  rows.forEach((row, code) => {
    const key = keys[code]!;
    if (!counted.has(key)) counted.set(key, new Map());
    const many = counted.get(key)!;
    row!.forEach((n, kind) => n && many.set(kinds[kind]!, (many.get(kinds[kind]!) ?? 0) + n));
  });
}
