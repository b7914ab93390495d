import { FOE_OF } from '#core/grade/book/marked';
import { YARD_ENDS } from '#core/grade/book/play-result';
import type { Dimension } from '#core/grade/book/dimensions';
import { NEARLY, SPREAD_PARTS, type SpreadPart } from '#core/grade/book/spread';

/** How a dimension is read: off `book_marks` (alias `b`), or off the kind a mark is of (`book_kinds`, alias `k`). */
export interface Column {
  /** Where `value` and `join` are read. */
  readonly of: 'mark' | 'kind';
  /** The value a grade is counted under, a word or a whole number; `null` values are left out. */
  readonly value: string;
  /** Whether `value` is the number of a word, and `where` is handed numbers of words. */
  readonly isWord?: boolean;
  /** What `value` needs beside a mark, one row for each; beside a kind it may be several, and a grade then stands under each. */
  readonly join?: string;
  /** True of a mark (`b`) that is to be counted for these values, named `:name`. */
  readonly where: (name: string) => string;
  /** How a word of a filter is handed to `where`; as it is, without it. */
  readonly read?: (word: string) => unknown;
}

/** Numbers that are said as words: asked for as numbers, so that their index is used; what is none of them holds for nothing. */
const number = (column: string): Column => ({
  of: 'mark',
  value: column,
  where: (name) => `${column} = any(array[:${name}]::int[])`,
  read: (word) => (/^\d{1,9}$/.test(word) ? Number(word) : -1),
});
/** A word of a mark: what the column has is its number. */
const word = (column: string): Column => ({
  of: 'mark',
  value: column,
  isWord: true,
  where: (name) => `${column} = any(array[:${name}]::int[])`,
});
/** A mark whose kind is such a one. */
const ofKind = (condition: string): string =>
  `b.kind in (select k.id from book_kinds k where k.program_id = :program and ${condition})`;
const said = (expression: string): Column => ({
  of: 'kind',
  value: expression,
  where: (name) => ofKind(`${expression} in (:${name})`),
});
const listed = (column: string): Column => ({
  of: 'kind',
  value: 'v.value',
  join: `cross join lateral unnest(k.${column}) as v(value)`,
  where: (name) => ofKind(`k.${column} && array[:${name}]::text[]`),
});

/** Parts of a block, each done or not: `v.kept` says which. */
const phase: Column = {
  of: 'kind',
  value: 'v.value',
  join: `cross join lateral (select unnest(k.phases_done) as value, true as kept union all select unnest(k.phases_not), false) as v`,
  where: (name) => ofKind(`(k.phases_done || k.phases_not) && array[:${name}]::text[]`),
};

/** What no play gains: holds for nothing. */
const NO_GAIN = 1000;
const clamped = (column: string): string => `least(${YARD_ENDS.most}, greatest(${YARD_ENDS.least}, ${column}))`;

/** The marks of each part of the spread: the same as `spreadOf` says of one. */
export const SPREADS: Readonly<Record<SpreadPart, string>> = {
  all: `k.possible > 0 and k.earned >= k.possible - ${NEARLY}`,
  more: `k.earned < k.possible - ${NEARLY} and k.earned > ${NEARLY} and k.earned >= k.possible / 2 - ${NEARLY}`,
  less: `k.earned > ${NEARLY} and k.earned < k.possible / 2 - ${NEARLY}`,
  nothing: `k.possible > ${NEARLY} and k.earned <= ${NEARLY}`,
  open: 'k.possible <= 0',
};

/** Their man, whose letters are a word; `foeOf` finds them again. */
const FOE = `(w.word || '${FOE_OF}' || g.opponent)`;
/** The two halves of such a key. */
const letters = `split_part(f.key, '${FOE_OF}', 1)`;
const whose = `substr(f.key, length(${letters}) + ${FOE_OF.length + 1})`;

/** Every dimension of the Book; a dimension without a line here does not compile. */
export const COLUMNS: Readonly<Record<Dimension, Column>> = {
  man: number('b.player_id'),
  place: word('b.blocker'),
  unit: word('b.unit'),
  pair: word('b.pair'),
  play: word('b.play'),
  block: word('b.block'),
  foe: {
    of: 'mark',
    value: FOE,
    join: 'join games g on g.id = b.game_id left join book_words w on w.id = b.target',
    where: (name) =>
      `(b.game_id, b.target) in (select g.id, w.id from unnest(array[:${name}]::text[]) as f(key)
         join book_words w on w.program_id = :program and w.word = ${letters} join games g on g.program_id = :program and g.opponent = ${whose})`,
  },
  help: word('b.help'),
  phase,
  fault: listed('faults'),
  fact: listed('facts'),
  consequence: said('k.consequence'),
  front: word('b.front'),
  formation: word('b.formation'),
  side: word('b.side'),
  down: number('b.down'),
  distance: word('b.distance'),
  quarter: number('b.quarter'),
  zone: word('b.zone'),
  gained: word('b.gained'),
  yard: {
    of: 'mark',
    value: clamped('s.gain'),
    join: 'join book_snaps s on s.snap_id = b.snap_id',
    where: (name) =>
      `b.snap_id in (select snap_id from book_snaps where program_id = :program and ${clamped('gain')} = any(array[:${name}]::int[]))`,
    read: (word) => (/^-?\d{1,3}$/.test(word) ? Number(word) : NO_GAIN),
  },
  opponent: {
    of: 'mark',
    value: 'g.opponent',
    join: 'join games g on g.id = b.game_id',
    where: (name) => `b.game_id in (select id from games where program_id = :program and opponent in (:${name}))`,
  },
  game: number('b.game_id'),
  season: number('b.season_id'),
  earned: said(`case ${SPREAD_PARTS.map((part) => `when ${SPREADS[part]} then '${part}'`).join(' ')} end`),
  rubric: said('k.rubric'),
};

/** The same, read off snaps (`book_snaps`, alias `b`), which have their words as they are. */
export function columnOfSnaps(by: Dimension): Column {
  const { isWord, ...column } = COLUMNS[by];
  if (!isWord) return column;
  const value = by === 'play' ? "(b.scheme || ' ' || b.side)" : column.value;
  return { ...column, value, where: (name) => `${value} in (:${name})` };
}
