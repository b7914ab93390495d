import { QueryTypes, type Sequelize } from 'sequelize';

/** Whether somebody is held up by a lock of the database, or has come to his end before that. */
export async function waitsOrEnds(db: Sequelize, doing: Promise<unknown>): Promise<'waits' | 'ends'> {
  let hasEnded = false;
  void doing.finally(() => (hasEnded = true));
  for (;;) {
    const [waiting] = await db.query(
      `select 1 from pg_stat_activity where datname = current_database() and wait_event_type = 'Lock'`,
      { type: QueryTypes.SELECT },
    );
    if (waiting || hasEnded) return waiting ? 'waits' : 'ends';
  }
}
