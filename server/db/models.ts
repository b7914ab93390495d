import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelAttributes,
  type ModelStatic,
  type Sequelize,
} from 'sequelize';
import { BOOK_KIND, BOOK_MARK, BOOK_SNAP, BookKindRow, BookMarkRow, BookSnapRow } from './book-models';
import {
  CLIP,
  ClipRow,
  FILM,
  FilmRow,
  CALIBRATION,
  CalibrationRow,
  MEASURING,
  MeasuringRow,
  CUT,
  CutRow,
  FILM_NOTE,
  FilmNoteRow,
} from './film-models';
import {
  ATTENDANCE,
  AttendanceRow,
  AUDIT,
  AuditRow,
  MEMBERSHIP,
  MembershipRow,
  PLAYER,
  PlayerRow,
  SESSION,
  SessionRow,
  TICKET,
  TicketRow,
  USER,
  UserRow,
} from './people-models';
import {
  HUDDLE,
  HUDDLE_MAN,
  HuddleManRow,
  HuddleRow,
  QUIZ_ANSWER,
  QuizAnswerRow,
  REP_MARK,
  RepMarkRow,
  WEEK_PART,
  WeekPartRow,
} from './week-models';
export { BookKindRow, BookMarkRow, BookSnapRow, HuddleManRow, HuddleRow, QuizAnswerRow, RepMarkRow, WeekPartRow };
export { ClipRow, FilmRow, CalibrationRow, MeasuringRow, CutRow, FilmNoteRow };
export { AttendanceRow, AuditRow, MembershipRow, PlayerRow, SessionRow, TicketRow, UserRow };

/** A row is what it is identified and looked up by, plus a body that the core's schema reads in its mapper. */
export class ProgramRow extends Model<InferAttributes<ProgramRow>, InferCreationAttributes<ProgramRow>> {
  declare id: CreationOptional<number>;
  declare name: string;
  declare body: CreationOptional<Record<string, unknown>>;
  /** The made-up program that ships. */
  declare demo: CreationOptional<boolean>;
}

export class SeasonRow extends Model<InferAttributes<SeasonRow>, InferCreationAttributes<SeasonRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare name: string;
  /** With what its snaps are graded from now on; grades carry their own. */
  declare rubric: CreationOptional<string>;
  /** The coach's own pass line, 0 to 1. */
  declare passLine: CreationOptional<number | null>;
}

export class GameRow extends Model<InferAttributes<GameRow>, InferCreationAttributes<GameRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare seasonId: number;
  declare opponent: string;
  declare week: number;
  declare published: boolean;
  /** Who was on the field, as changes from the roster. */
  declare lineup: CreationOptional<Record<string, unknown>>;
  declare lineupRevision: CreationOptional<number>;
  /** Players grade themselves before it is published. */
  declare ownGrades: CreationOptional<boolean>;
  /** The day, as 2026-11-27. */
  declare playedOn: CreationOptional<string | null>;
  /** Against whom the opponent plays, where it is a game of his; `null` of one of ours. */
  declare theirs: CreationOptional<string | null>;
}

export class SnapRow extends Model<InferAttributes<SnapRow>, InferCreationAttributes<SnapRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare gameId: number;
  declare number: number;
  /** Grows whenever men are asked something else. */
  declare revision: CreationOptional<number>;
  declare body: unknown;
}

export class GradeRow extends Model<InferAttributes<GradeRow>, InferCreationAttributes<GradeRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare snapId: number;
  declare blocker: string;
  declare playerId: number | null;
  /** 0 is the program's grade, otherwise the user whose own reading it is. */
  declare sheet: CreationOptional<number>;
  declare revision: CreationOptional<number>;
  /** The mark, as the grader's machine named it, by which it became what it is. */
  declare entry: CreationOptional<string | null>;
  declare userId: CreationOptional<number | null>;
  /** What he was asked when he was graded. */
  declare asked: unknown;
  declare body: unknown;
  declare changedAt: CreationOptional<Date>;
}

/** What was found out about a snap beside its marks; `revision` grows with every change. */
export class FindingRow extends Model<InferAttributes<FindingRow>, InferCreationAttributes<FindingRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare snapId: number;
  declare userId: number;
  declare revision: number;
  declare body: unknown;
  declare changedAt: CreationOptional<Date>;
}

/** A player has seen his grades of a game, or asks about one of its snaps. */
export class AcknowledgementRow extends Model<
  InferAttributes<AcknowledgementRow>,
  InferCreationAttributes<AcknowledgementRow>
> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare gameId: number;
  declare snapId: number | null;
  declare playerId: number;
  declare userId: number;
  declare question: CreationOptional<string>;
  declare answer: CreationOptional<string>;
  declare createdAt: CreationOptional<Date>;
}

/** Every change of a grade, kept for good: who, when, from what, to what. */
export class GradeChangeRow extends Model<InferAttributes<GradeChangeRow>, InferCreationAttributes<GradeChangeRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare snapId: number;
  declare blocker: string;
  declare sheet: CreationOptional<number>;
  declare userId: number;
  declare before: unknown;
  declare after: unknown;
  declare createdAt: CreationOptional<Date>;
}

/** A text of the program's own on one of its shelves; what it says is in its versions. */
export class DocumentRow extends Model<InferAttributes<DocumentRow>, InferCreationAttributes<DocumentRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare shelf: string;
  declare slug: string;
  declare opponent: CreationOptional<string | null>;
  declare retired: CreationOptional<boolean>;
  /** Released to the program's players. */
  declare players: CreationOptional<boolean>;
}

/** One saved state of a document, kept for good. A draft does not count until somebody releases its text. */
export class DocumentVersionRow extends Model<
  InferAttributes<DocumentVersionRow>,
  InferCreationAttributes<DocumentVersionRow>
> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare documentId: number;
  declare number: number;
  declare text: string;
  declare draft: boolean;
  declare userId: number;
  declare createdAt: CreationOptional<Date>;
}

const id = { type: DataTypes.INTEGER, autoIncrement: true, primaryKey: true } as const;
const owned = { id, programId: { type: DataTypes.INTEGER, allowNull: false } } as const;
const int = DataTypes.INTEGER;
const text = DataTypes.TEXT;
const body = DataTypes.JSONB;

/** Ties the row classes to a connection. Tables are made by the migrations only. */
export function defineModels(sequelize: Sequelize): void {
  const define = <M extends Model>(model: ModelStatic<M>, tableName: string, attributes: ModelAttributes<M>): void => {
    model.init(attributes as never, { sequelize, tableName, underscored: true, timestamps: false });
  };
  define(UserRow, 'users', USER);
  define(MembershipRow, 'memberships', MEMBERSHIP);
  define(SessionRow, 'sessions', SESSION);
  define(TicketRow, 'tickets', TICKET);
  define(PlayerRow, 'players', PLAYER);
  define(AuditRow, 'audit', AUDIT);
  define(AttendanceRow, 'attendance', ATTENDANCE);
  define(WeekPartRow, 'week_parts', WEEK_PART);
  define(QuizAnswerRow, 'quiz_answers', QUIZ_ANSWER);
  define(RepMarkRow, 'rep_marks', REP_MARK);
  define(HuddleRow, 'huddles', HUDDLE);
  define(HuddleManRow, 'huddle_men', HUDDLE_MAN);
  define(ProgramRow, 'programs', {
    ...{ id, name: text, body },
    demo: { type: DataTypes.BOOLEAN, defaultValue: false },
  } as ModelAttributes<ProgramRow>);
  define(SeasonRow, 'seasons', {
    ...owned,
    name: text,
    rubric: text,
    passLine: DataTypes.REAL,
  } as ModelAttributes<SeasonRow>);
  define(GameRow, 'games', {
    ...owned,
    seasonId: int,
    opponent: text,
    week: int,
    published: DataTypes.BOOLEAN,
    lineup: { type: body, defaultValue: {} },
    lineupRevision: { type: int, defaultValue: 0 },
    ownGrades: { type: DataTypes.BOOLEAN, defaultValue: false },
    playedOn: DataTypes.DATEONLY,
    theirs: text,
  } as ModelAttributes<GameRow>);
  define(SnapRow, 'snaps', {
    ...owned,
    gameId: int,
    number: int,
    revision: { type: int, defaultValue: 1 },
    body,
  } as ModelAttributes<SnapRow>);
  define(ClipRow, 'clips', CLIP);
  define(FilmRow, 'films', FILM);
  define(CalibrationRow, 'calibrations', CALIBRATION);
  define(MeasuringRow, 'measurings', MEASURING);
  define(CutRow, 'cuts', CUT);
  define(FilmNoteRow, 'film_notes', FILM_NOTE);
  define(GradeRow, 'grades', {
    ...owned,
    snapId: int,
    blocker: text,
    playerId: int,
    sheet: { type: int, defaultValue: 0 },
    revision: { type: int, defaultValue: 1 },
    entry: DataTypes.UUID,
    userId: int,
    asked: body,
    body,
    changedAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
  } as ModelAttributes<GradeRow>);
  define(FindingRow, 'snap_findings', {
    ...owned,
    snapId: int,
    userId: int,
    revision: int,
    body,
    changedAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
  } as ModelAttributes<FindingRow>);
  define(AcknowledgementRow, 'acknowledgements', {
    ...owned,
    gameId: int,
    snapId: int,
    playerId: int,
    userId: int,
    question: { type: text, defaultValue: '' },
    answer: { type: text, defaultValue: '' },
    createdAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
  } as ModelAttributes<AcknowledgementRow>);
  define(BookMarkRow, 'book_marks', BOOK_MARK);
  define(BookKindRow, 'book_kinds', BOOK_KIND);
  define(BookSnapRow, 'book_snaps', BOOK_SNAP);
  define(DocumentRow, 'documents', {
    ...owned,
    shelf: text,
    slug: text,
    opponent: text,
    retired: { type: DataTypes.BOOLEAN, defaultValue: false },
    players: { type: DataTypes.BOOLEAN, defaultValue: false },
  } as ModelAttributes<DocumentRow>);
  define(DocumentVersionRow, 'document_versions', {
    ...owned,
    documentId: int,
    number: int,
    text,
    draft: DataTypes.BOOLEAN,
    userId: int,
    createdAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
  } as ModelAttributes<DocumentVersionRow>);
  define(GradeChangeRow, 'grade_changes', {
    ...owned,
    snapId: int,
    blocker: text,
    sheet: { type: int, defaultValue: 0 },
    userId: int,
    before: body,
    after: body,
    createdAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
  } as ModelAttributes<GradeChangeRow>);
}
