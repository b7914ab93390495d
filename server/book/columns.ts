import { FOE_OF } from '#core/grade/book/marked';
import { YARD_ENDS } from '#core/grade/book/play-result';
import type { Dimension } from '#core/grade/book/dimensions';
import { NEARLY, SPREAD_PARTS, type SpreadPart } from '#core/grade/book/spread';

/** How a dimension is read off `book_marks` (alias `b`), with the games beside it (alias `g`). */
export interface Column {
  /** The value a grade is counted under; `null` values are left out. */
  readonly value: string;
  /** What `value` needs beside `b`: a grade then stands under each of several values. */
  readonly join?: string;
  /** True when a grade is to be counted for these values, named `:name`. */
  readonly where: (name: string) => string;
  /** Every grade stands under exactly one value, so that the lines add up to everything. */
  readonly whole: boolean;
  /** How a word of a filter is handed to `where`; as it is, without it. */
  readonly read?: (word: string) => unknown;
}

/** Numbers that are said as words: asked for as numbers, so that their index is used; what is none of them holds for nothing. */
const number = (column: string, whole = true): Column => ({
  value: `${column}::text`,
  where: (name) => `${column} = any(array[:${name}]::int[])`,
  whole,
  read: (word) => (/^\d{1,9}$/.test(word) ? Number(word) : -1),
});
const plain = (expression: string): Column => ({
  value: expression,
  where: (name) => `${expression} in (:${name})`,
  whole: true,
});
const maybe = (expression: string): Column => ({ ...plain(expression), whole: false });
const listed = (column: string): Column => ({
  value: 'v.value',
  join: `cross join lateral unnest(b.${column}) as v(value)`,
  where: (name) => `b.${column} && array[:${name}]::text[]`,
  whole: false,
});

/** Parts of a block, each done or not: `v.kept` says which. */
const phase: Column = {
  value: 'v.value',
  join: `cross join lateral (select unnest(b.phases_done) as value, true as kept union all select unnest(b.phases_not), false) as v`,
  where: (name) => `(b.phases_done || b.phases_not) && array[:${name}]::text[]`,
  whole: false,
};

/** What no play gains: holds for nothing. */
const NO_GAIN = 1000;
const clamped = (column: string): string => `least(${YARD_ENDS.most}, greatest(${YARD_ENDS.least}, ${column}))`;

/** The marks of each part of the spread: the same as `spreadOf` says of one. */
export const SPREADS: Readonly<Record<SpreadPart, string>> = {
  all: `b.possible > 0 and b.earned >= b.possible - ${NEARLY}`,
  more: `b.earned < b.possible - ${NEARLY} and b.earned > ${NEARLY} and b.earned >= b.possible / 2 - ${NEARLY}`,
  less: `b.earned > ${NEARLY} and b.earned < b.possible / 2 - ${NEARLY}`,
  nothing: `b.possible > ${NEARLY} and b.earned <= ${NEARLY}`,
  open: 'b.possible <= 0',
};

/** Their man; `foeOf` finds his letters again. */
const FOE = `(b.target || '${FOE_OF}' || g.opponent)`;

/** Every dimension of the Book; a dimension without a line here does not compile. */
export const COLUMNS: Readonly<Record<Dimension, Column>> = {
  man: number('b.player_id', false),
  place: plain('b.blocker'),
  unit: plain('b.unit'),
  pair: maybe('b.pair'),
  play: plain(`(b.scheme || ' ' || b.side)`),
  block: plain('b.block'),
  foe: {
    value: FOE,
    join: 'join games g on g.id = b.game_id',
    where: (name) =>
      `b.grade_id in (select b.grade_id from book_marks b join games g on g.id = b.game_id where b.program_id = :program and ${FOE} in (:${name}))`,
    whole: false,
  },
  help: plain('b.help'),
  phase,
  fault: listed('faults'),
  fact: listed('facts'),
  consequence: maybe('b.consequence'),
  front: plain('b.front'),
  formation: plain('b.formation'),
  side: plain('b.side'),
  down: number('b.down'),
  distance: plain('b.distance'),
  quarter: number('b.quarter'),
  zone: maybe('b.zone'),
  gained: plain('b.gained'),
  yard: {
    value: `${clamped('s.gain')}::text`,
    join: 'join book_snaps s on s.snap_id = b.snap_id',
    where: (name) =>
      `b.snap_id in (select snap_id from book_snaps where program_id = :program and ${clamped('gain')} = any(array[:${name}]::int[]))`,
    whole: false,
    read: (word) => (/^-?\d{1,3}$/.test(word) ? Number(word) : NO_GAIN),
  },
  opponent: {
    value: 'g.opponent',
    join: 'join games g on g.id = b.game_id',
    where: (name) => `b.game_id in (select id from games where program_id = :program and opponent in (:${name}))`,
    whole: true,
  },
  game: number('b.game_id'),
  season: number('b.season_id'),
  earned: plain(`case ${SPREAD_PARTS.map((part) => `when ${SPREADS[part]} then '${part}'`).join(' ')} end`),
  rubric: plain('b.rubric'),
};
