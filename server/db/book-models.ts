import { DataTypes, Model } from 'sequelize';

/** Whose a grade is, and by what the Book counts it; made from it and its snap, and made anew when either was changed. */
export class BookMarkRow extends Model {}
/** What a grade says: marks that say the same are of one kind. */
export class BookKindRow extends Model {
  declare readonly id: number;
}
/** What the Book counts of a snap. */
export class BookSnapRow extends Model {}

const int = DataTypes.INTEGER;
const text = DataTypes.TEXT;
const small = DataTypes.SMALLINT;
const yesNo = DataTypes.BOOLEAN;
const words = DataTypes.ARRAY(DataTypes.TEXT);
/** Columns of `book_marks`; words are their numbers in `book_words`. */
export const BOOK_MARK = {
  gradeId: { type: int, primaryKey: true },
  programId: int,
  seasonId: int,
  gameId: int,
  snapId: int,
  number: small,
  playerId: int,
  blocker: int,
  unit: int,
  pair: int,
  scheme: int,
  side: int,
  play: int,
  front: int,
  formation: int,
  block: int,
  target: int,
  help: int,
  quarter: small,
  down: small,
  distance: int,
  zone: int,
  gained: int,
  kind: int,
};
/** Columns of `book_kinds`; the view `book_grades` has them beside those of the marks, in words. */
export const BOOK_KIND = {
  id: { type: int, primaryKey: true, autoIncrement: true },
  programId: int,
  rubric: text,
  assignment: yesNo,
  technique: yesNo,
  finish: yesNo,
  bothKept: yesNo,
  outcome: yesNo,
  film: yesNo,
  earned: DataTypes.DOUBLE,
  possible: DataTypes.DOUBLE,
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
  scheme: text,
  side: text,
  front: text,
  formation: text,
  quarter: small,
  down: small,
  distance: text,
  zone: text,
  gained: text,
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
