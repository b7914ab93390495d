import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelAttributes,
} from 'sequelize';

/** One part of what was decided about the week before a game; `revision` grows with every change. */
export class WeekPartRow extends Model<InferAttributes<WeekPartRow>, InferCreationAttributes<WeekPartRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare gameId: number;
  declare part: string;
  declare revision: number;
  declare body: unknown;
  declare userId: number | null;
  declare changedAt: CreationOptional<Date>;
}

/** What came of a rep of a script. */
export class RepMarkRow extends Model<InferAttributes<RepMarkRow>, InferCreationAttributes<RepMarkRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare gameId: number;
  declare script: string;
  declare rep: number;
  declare good: boolean;
  declare missed: string[];
  declare userId: number | null;
  declare markedAt: CreationOptional<Date>;
}

/** An answer of a player's to the quiz, under the id his phone gave it. */
export class QuizAnswerRow extends Model<InferAttributes<QuizAnswerRow>, InferCreationAttributes<QuizAnswerRow>> {
  declare id: CreationOptional<number>;
  declare answer: string;
  declare programId: number;
  declare gameId: number;
  declare playerId: number;
  declare itemKey: string;
  declare body: unknown;
  declare answeredAt: Date;
  declare receivedAt: CreationOptional<Date>;
}

/** The whole line together on one question; at most one a program. */
export class HuddleRow extends Model<InferAttributes<HuddleRow>, InferCreationAttributes<HuddleRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare gameId: number;
  declare number: number;
  declare stage: string;
  declare question: unknown;
  declare userId: number | null;
  declare openedAt: CreationOptional<Date>;
}

/** Somebody who is in it, and what he said to the question of that number. */
export class HuddleManRow extends Model<InferAttributes<HuddleManRow>, InferCreationAttributes<HuddleManRow>> {
  declare id: CreationOptional<number>;
  declare huddleId: number;
  declare programId: number;
  declare userId: number;
  declare seat: string;
  declare number: CreationOptional<number>;
  declare said: unknown;
  declare saidAt: Date | null;
}

const int = DataTypes.INTEGER;
export const WEEK_PART = {
  id: { type: int, autoIncrement: true, primaryKey: true },
  ...{ programId: int, gameId: int, part: DataTypes.TEXT, revision: int, body: DataTypes.JSONB, userId: int },
  changedAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
} as ModelAttributes<WeekPartRow>;
export const REP_MARK = {
  id: { type: int, autoIncrement: true, primaryKey: true },
  ...{ programId: int, gameId: int, script: DataTypes.TEXT, rep: int, good: DataTypes.BOOLEAN, userId: int },
  missed: { type: DataTypes.ARRAY(DataTypes.TEXT), defaultValue: [] },
  markedAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
} as ModelAttributes<RepMarkRow>;
export const QUIZ_ANSWER = {
  id: { type: int, autoIncrement: true, primaryKey: true },
  ...{
    answer: DataTypes.UUID,
    programId: int,
    gameId: int,
    playerId: int,
    itemKey: DataTypes.TEXT,
    body: DataTypes.JSONB,
  },
  answeredAt: DataTypes.DATE,
  receivedAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
} as ModelAttributes<QuizAnswerRow>;
export const HUDDLE = {
  id: { type: int, autoIncrement: true, primaryKey: true },
  ...{ programId: int, gameId: int, number: int, stage: DataTypes.TEXT, question: DataTypes.JSONB, userId: int },
  openedAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
} as ModelAttributes<HuddleRow>;
export const HUDDLE_MAN = {
  id: { type: int, autoIncrement: true, primaryKey: true },
  ...{
    huddleId: int,
    programId: int,
    userId: int,
    seat: DataTypes.TEXT,
    said: DataTypes.JSONB,
    saidAt: DataTypes.DATE,
  },
  number: { type: int, defaultValue: 0 },
} as ModelAttributes<HuddleManRow>;
