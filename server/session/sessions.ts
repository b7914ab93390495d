import { randomUUID } from 'node:crypto';
import { Op } from 'sequelize';
import { database } from '../db/database';
import { SessionRow } from '../db/models';
import { SESSION_SECONDS } from './duration';

/** Notes a log-in and returns what its cookie is to hold. */
export async function startSession(userId: number, programId: number): Promise<string> {
  await database();
  const id = randomUUID();
  await SessionRow.create({ id, userId, programId });
  return id;
}

/** The log-in behind a cookie as long as it lasts and nobody has ended it. */
export async function findSession(id: string | undefined): Promise<SessionRow | null> {
  if (!id) return null;
  await database();
  const oldest = new Date(Date.now() - SESSION_SECONDS * 1000);
  return SessionRow.findOne({ where: { id, endedAt: null, createdAt: { [Op.gt]: oldest } } });
}

/** From now on the cookie opens nothing any more, wherever a copy of it is. */
export async function endSession(id: string | undefined): Promise<void> {
  if (!id) return;
  await database();
  await SessionRow.update({ endedAt: new Date() }, { where: { id, endedAt: null } });
}
