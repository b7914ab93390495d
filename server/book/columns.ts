import { YARD_ENDS } from '#core/grade/book/play-result';
import type { SnapDimension } from '#core/grade/book/dimensions';

export const clamped = (column: string): string => `least(${YARD_ENDS.most}, greatest(${YARD_ENDS.least}, ${column}))`;

/** How a dimension is read off a snap (`book_snaps`, alias `b`). */
export interface Column {
  /** The value a snap is counted under. */
  readonly value: string;
  /** There are snaps without any value, which are left out. */
  readonly isOptional?: true;
  /** What `value` is made of, where that is put together faster than the value itself. */
  readonly parts?: string;
  /** What `value` needs beside a snap, one row for each. */
  readonly join?: string;
  /** True of a snap that is to be counted for these values, named `:name`. */
  readonly where: (name: string) => string;
  /** How a word of a filter is handed to `where`; as it is, without it. */
  readonly read?: (word: string) => unknown;
}

/** Numbers that are said as words: asked for as numbers, so that their index is used; what is none of them holds for nothing. */
const number = (value: string): Column => ({
  value,
  where: (name) => `${value} = any(array[:${name}]::int[])`,
  read: (word) => (/^-?\d{1,9}$/.test(word) ? Number(word) : NO_NUMBER),
});
/** No id, down or quarter, and no play gains it. */
const NO_NUMBER = -1000;
const word = (value: string): Column => ({ value, where: (name) => `${value} in (:${name})` });

/** Every dimension of snaps; one without a line here does not compile. */
export const COLUMNS: Readonly<Record<SnapDimension, Column>> = {
  play: { ...word("(b.scheme || ' ' || b.side)"), parts: 'b.scheme, b.side' },
  front: word('b.front'),
  formation: word('b.formation'),
  side: word('b.side'),
  down: number('b.down'),
  distance: word('b.distance'),
  quarter: number('b.quarter'),
  zone: { ...word('b.zone'), isOptional: true },
  gained: word('b.gained'),
  yard: number(clamped('b.gain')),
  opponent: {
    value: 'g.opponent',
    join: 'join games g on g.id = b.game_id',
    where: (name) => `b.game_id in (select id from games where program_id = :program and opponent in (:${name}))`,
  },
  game: number('b.game_id'),
  season: number('b.season_id'),
};
