import { QueryTypes } from 'sequelize';
import { database } from '../db/database';

/** On it every process on one database hears that something has changed for a program; the message is the program’s id. */
export const CHANNEL = 'violet_chalk_live';

/** Tells every process that there is something new for those of a program who watch. */
export async function announce(programId: number): Promise<void> {
  const db = await database();
  await db.query('select pg_notify($1, $2)', { type: QueryTypes.SELECT, bind: [CHANNEL, String(programId)] });
}
