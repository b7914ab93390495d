import { DataTypes, Model } from 'sequelize';

/** What the Book counts of a grade; made from it and its snap, and made anew whenever either changes. */
export class BookMarkRow extends Model {}
/** What the Book counts of a snap. */
export class BookSnapRow extends Model {}

const int = DataTypes.INTEGER;
const text = DataTypes.TEXT;
const small = DataTypes.SMALLINT;
const yesNo = DataTypes.BOOLEAN;
const words = DataTypes.ARRAY(DataTypes.TEXT);
const called = { scheme: text, side: text, front: text, formation: text } as const;
const situated = { quarter: small, down: small, distance: text, zone: text, gained: text } as const;
/** Columns of `book_marks`. */
export const BOOK_MARK = {
  gradeId: { type: int, primaryKey: true },
  programId: int,
  seasonId: int,
  gameId: int,
  snapId: int,
  number: small,
  playerId: int,
  blocker: text,
  unit: text,
  pair: text,
  ...called,
  block: text,
  target: text,
  help: text,
  ...situated,
  rubric: text,
  assignment: yesNo,
  technique: yesNo,
  finish: yesNo,
  bothKept: yesNo,
  outcome: yesNo,
  film: yesNo,
  earned: DataTypes.REAL,
  possible: DataTypes.REAL,
  faults: words,
  facts: words,
  consequence: text,
  phasesDone: words,
  phasesNot: words,
};
/** Columns of `book_snaps`. */
export const BOOK_SNAP = {
  snapId: { type: int, primaryKey: true },
  programId: int,
  seasonId: int,
  gameId: int,
  number: small,
  ...called,
  ...situated,
  gain: small,
  result: text,
  throws: yesNo,
  success: yesNo,
  stuffed: yesNo,
  explosive: yesNo,
  blocked: yesNo,
  pressured: yesNo,
  beforeContact: small,
};
