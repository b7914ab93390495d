import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelAttributes,
} from 'sequelize';

export class ClipRow extends Model<InferAttributes<ClipRow>, InferCreationAttributes<ClipRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare snapId: number;
  declare angle: string;
  /** Where it is in the storage; empty when its film was deleted. */
  declare file: string;
  declare filmId: CreationOptional<number | null>;
  declare body: unknown;
}

/** A film that came in. `bytes` is a text, as the driver gives numbers that may be too large. */
export class FilmRow extends Model<InferAttributes<FilmRow>, InferCreationAttributes<FilmRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  /** Name of the upload it came by; the same upload never makes two. */
  declare upload: string;
  declare name: string;
  declare kind: string;
  declare state: string;
  declare bytes: string;
  declare checksum: CreationOptional<string | null>;
  declare gameId: number | null;
  declare userId: number;
  declare body: unknown;
  declare createdAt: CreationOptional<Date>;
}

/** The camera of a clip, as it was found from field marks. */
export class CalibrationRow extends Model<InferAttributes<CalibrationRow>, InferCreationAttributes<CalibrationRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare clipId: number;
  declare userId: number;
  declare body: unknown;
}

/** What was measured on a snap's film; `revision` grows with every change. */
export class MeasuringRow extends Model<InferAttributes<MeasuringRow>, InferCreationAttributes<MeasuringRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare snapId: number;
  declare userId: number;
  declare revision: number;
  declare body: unknown;
  declare changedAt: CreationOptional<Date>;
}

/** Snaps to look at, under a name. */
export class CutRow extends Model<InferAttributes<CutRow>, InferCreationAttributes<CutRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare userId: number;
  declare name: string;
  declare body: unknown;
}

/** What somebody wrote and drew on a film; `revision` grows with every change. */
export class FilmNoteRow extends Model<InferAttributes<FilmNoteRow>, InferCreationAttributes<FilmNoteRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare clipId: number;
  declare userId: number;
  declare revision: CreationOptional<number>;
  declare body: unknown;
}

const int = DataTypes.INTEGER;
const text = DataTypes.TEXT;
const body = DataTypes.JSONB;
const owned = {
  id: { type: int, autoIncrement: true, primaryKey: true },
  programId: { type: int, allowNull: false },
} as const;

export const CLIP = {
  ...owned,
  snapId: int,
  angle: text,
  file: text,
  filmId: int,
  body,
} as ModelAttributes<ClipRow>;
export const FILM = {
  ...owned,
  upload: text,
  name: text,
  kind: text,
  state: text,
  bytes: DataTypes.BIGINT,
  checksum: text,
  gameId: int,
  userId: int,
  body,
  createdAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
} as ModelAttributes<FilmRow>;
export const CALIBRATION = {
  ...owned,
  clipId: int,
  userId: int,
  body,
} as ModelAttributes<CalibrationRow>;
export const MEASURING = {
  ...owned,
  snapId: int,
  userId: int,
  revision: int,
  body,
  changedAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
} as ModelAttributes<MeasuringRow>;
export const CUT = { ...owned, userId: int, name: text, body } as ModelAttributes<CutRow>;
export const FILM_NOTE = {
  ...owned,
  clipId: int,
  userId: int,
  revision: { type: int, defaultValue: 1 },
  body,
} as ModelAttributes<FilmNoteRow>;
