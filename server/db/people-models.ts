import {
  DataTypes,
  Model,
  type CreationOptional,
  type InferAttributes,
  type InferCreationAttributes,
  type ModelAttributes,
} from 'sequelize';

export class UserRow extends Model<InferAttributes<UserRow>, InferCreationAttributes<UserRow>> {
  declare id: CreationOptional<number>;
  declare email: string;
  declare name: string;
  declare passwordHash: string;
  /** Keeps this installation: may copy all of it. */
  declare keeper: CreationOptional<boolean>;
  /** Locks what he leaves on machines he logs out of; given to nobody else. */
  declare deviceKey: CreationOptional<string | null>;
}

export class MembershipRow extends Model<InferAttributes<MembershipRow>, InferCreationAttributes<MembershipRow>> {
  declare id: CreationOptional<number>;
  declare userId: number;
  declare programId: number;
  declare role: string;
  declare playerId: number | null;
}

/** One log-in on one machine; its id is what the cookie holds. */
export class SessionRow extends Model<InferAttributes<SessionRow>, InferCreationAttributes<SessionRow>> {
  declare id: string;
  declare userId: number;
  declare programId: number;
  /** What the browser says it is, in two words. */
  declare machine: CreationOptional<string>;
  declare createdAt: CreationOptional<Date>;
  declare seenAt: CreationOptional<Date>;
  declare endedAt: CreationOptional<Date | null>;
}

/** A link that opens something once: only its hash is kept. */
export class TicketRow extends Model<InferAttributes<TicketRow>, InferCreationAttributes<TicketRow>> {
  declare id: CreationOptional<number>;
  declare kind: 'first' | 'invitation' | 'reset';
  declare hash: string;
  declare programId: CreationOptional<number | null>;
  declare userId: CreationOptional<number | null>;
  declare role: CreationOptional<string | null>;
  declare playerId: CreationOptional<number | null>;
  declare name: CreationOptional<string>;
  declare email: CreationOptional<string>;
  declare madeBy: CreationOptional<string>;
  declare createdAt: CreationOptional<Date>;
  declare expiresAt: Date;
  declare usedAt: CreationOptional<Date | null>;
}

export class PlayerRow extends Model<InferAttributes<PlayerRow>, InferCreationAttributes<PlayerRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare name: string;
  declare number: number;
  /** Where he usually plays; empty for one who is nobody's first choice. */
  declare seat: string;
  declare seats: CreationOptional<string[]>;
  declare defence: CreationOptional<string>;
  /** Pounds. */
  declare weight: CreationOptional<number | null>;
  declare leftAt: CreationOptional<Date | null>;
  /** His name and everything said of him were deleted; counts stay. */
  declare erasedAt: CreationOptional<Date | null>;
}

/** What was done with people, who did it and when. */
export class AuditRow extends Model<InferAttributes<AuditRow>, InferCreationAttributes<AuditRow>> {
  declare id: CreationOptional<number>;
  declare programId: number;
  declare userId: number | null;
  declare what: string;
  declare about: CreationOptional<string>;
  declare at: CreationOptional<Date>;
}

export class AttendanceRow extends Model<InferAttributes<AttendanceRow>, InferCreationAttributes<AttendanceRow>> {
  declare programId: number;
  declare playerId: number;
  declare day: string;
  declare here: string;
  declare note: CreationOptional<string>;
}

const id = { type: DataTypes.INTEGER, autoIncrement: true, primaryKey: true } as const;
const int = DataTypes.INTEGER;
const text = DataTypes.TEXT;
/** Made anew for every column: the library writes each column's name into them. */
const textOrEmpty = () => ({ type: text, defaultValue: '' });
const now = () => ({ type: DataTypes.DATE, defaultValue: DataTypes.NOW });

export const USER = {
  ...{ id, email: text, name: text, passwordHash: text },
  keeper: { type: DataTypes.BOOLEAN, defaultValue: false },
  deviceKey: text,
} as ModelAttributes<UserRow>;
export const MEMBERSHIP = {
  id,
  userId: int,
  programId: int,
  role: text,
  playerId: int,
} as ModelAttributes<MembershipRow>;
export const SESSION = {
  id: { type: DataTypes.UUID, primaryKey: true },
  ...{ userId: int, programId: int, machine: textOrEmpty(), createdAt: now(), seenAt: now(), endedAt: DataTypes.DATE },
} as ModelAttributes<SessionRow>;
export const TICKET = {
  ...{ id, kind: text, hash: text, programId: int, userId: int, role: text, playerId: int },
  ...{ name: textOrEmpty(), email: textOrEmpty(), madeBy: textOrEmpty() },
  ...{ createdAt: now(), expiresAt: DataTypes.DATE, usedAt: DataTypes.DATE },
} as ModelAttributes<TicketRow>;
export const PLAYER = {
  ...{ id, programId: { type: int, allowNull: false }, name: text, number: int, seat: text },
  seats: { type: DataTypes.ARRAY(DataTypes.TEXT), defaultValue: [] },
  ...{ defence: textOrEmpty(), weight: int, leftAt: DataTypes.DATE, erasedAt: DataTypes.DATE },
} as ModelAttributes<PlayerRow>;
export const AUDIT = {
  id,
  programId: int,
  userId: int,
  what: text,
  about: textOrEmpty(),
  at: now(),
} as ModelAttributes<AuditRow>;
export const ATTENDANCE = {
  playerId: { type: int, primaryKey: true },
  day: { type: DataTypes.DATEONLY, primaryKey: true },
  ...{ programId: int, here: text, note: textOrEmpty() },
} as ModelAttributes<AttendanceRow>;
