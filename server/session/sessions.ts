import { randomUUID } from 'node:crypto';
import { Op, type Transaction } from 'sequelize';
import { database } from '../db/database';
import { SessionRow } from '../db/models';
import { SESSION_SECONDS } from './duration';

/** Being here is written down so often, ms. */
const SEEN_EVERY = 5 * 60_000;

/** Notes a log-in and returns what its cookie is to hold. */
export async function startSession(userId: number, programId: number, machine = ''): Promise<string> {
  await database();
  const id = randomUUID();
  await SessionRow.create({ id, userId, programId, machine });
  return id;
}

const lasting = () => ({ endedAt: null, createdAt: { [Op.gt]: new Date(Date.now() - SESSION_SECONDS * 1000) } });

/** The log-in behind a cookie as long as it lasts and nobody has ended it. */
export async function findSession(id: string | undefined): Promise<SessionRow | null> {
  if (!id) return null;
  await database();
  const session = await SessionRow.findOne({ where: { id, ...lasting() } });
  if (session && Date.now() - session.seenAt.getTime() > SEEN_EVERY) await session.update({ seenAt: new Date() });
  return session;
}

/** From now on the cookie opens nothing any more, wherever a copy of it is. */
export async function endSession(id: string | undefined): Promise<void> {
  if (!id) return;
  await database();
  await SessionRow.update({ endedAt: new Date() }, { where: { id, endedAt: null } });
}

/** A user's log-ins that still open something, the latest first. */
export const sessionsOf = (userId: number): Promise<SessionRow[]> =>
  SessionRow.findAll({ where: { userId, ...lasting() }, order: [['seenAt', 'DESC']] });

/** Ends log-ins of a user: all of them, those in one program, or all but the one he is at. */
export async function endSessionsOf(
  userId: number,
  { programId, but }: { programId?: number; but?: string } = {},
  transaction: Transaction | null = null,
): Promise<void> {
  await SessionRow.update(
    { endedAt: new Date() },
    {
      where: {
        ...{ userId, endedAt: null },
        ...(programId === undefined ? {} : { programId }),
        ...(but === undefined ? {} : { id: { [Op.ne]: but } }),
      },
      transaction,
    },
  );
}
