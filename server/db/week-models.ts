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

const int = DataTypes.INTEGER;
export const WEEK_PART = {
  id: { type: int, autoIncrement: true, primaryKey: true },
  ...{ programId: int, gameId: int, part: DataTypes.TEXT, revision: int, body: DataTypes.JSONB, userId: int },
  changedAt: { type: DataTypes.DATE, defaultValue: DataTypes.NOW },
} as ModelAttributes<WeekPartRow>;
