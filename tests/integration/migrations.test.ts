import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { connect, migrate } from '../../server/db/database';
import { MIGRATIONS } from '../../server/db/migrations';
import { freshDatabase } from './fresh-database';

let db: Awaited<ReturnType<typeof freshDatabase>>;
beforeAll(async () => {
  db = await freshDatabase();
});
afterAll(() => db.drop());

const tables = async (): Promise<string[]> => {
  const [rows] = await db.sequelize.query(
    `select table_name from information_schema.tables where table_schema = 'public' order by 1`,
  );
  return (rows as { table_name: string }[]).map((r) => r.table_name);
};

describe('migrations', () => {
  it('have all run, in order, and nothing made a table beside them', async () => {
    const [rows] = await db.sequelize.query('select name from "SequelizeMeta" order by name');
    expect((rows as { name: string }[]).map((r) => r.name)).toEqual(MIGRATIONS.map((m) => m.name));
    expect(await tables()).toEqual([
      'SequelizeMeta',
      'acknowledgements',
      'attendance',
      'audit',
      'book_columns',
      'book_counted',
      'book_due',
      'book_grades',
      'book_kinds',
      'book_marks',
      'book_snaps',
      'book_words',
      'calibrations',
      'clips',
      'cuts',
      'document_versions',
      'documents',
      'film_notes',
      'films',
      'games',
      'grade_changes',
      'grades',
      'huddle_men',
      'huddles',
      'measurings',
      'memberships',
      'players',
      'programs',
      'quiz_answers',
      'rate_limits',
      'rep_marks',
      'seasons',
      'sessions',
      'snap_findings',
      'snaps',
      'tickets',
      'users',
      'week_parts',
    ]);
  });

  it('may be started by two processes at once', async () => {
    const [one, two] = [connect(db.url), connect(db.url)];
    await db.sequelize.query('delete from "SequelizeMeta"');
    for (const m of [...MIGRATIONS].reverse()) await m.down(db.sequelize.getQueryInterface());
    await Promise.all([migrate(one), migrate(two)]);
    expect(await tables()).toContain('grades');
    await Promise.all([one.close(), two.close()]);
    // The row classes follow the newest connection; give them back to this file's.
    connect(db.url);
  });

  it('go back and forth', async () => {
    for (const m of [...MIGRATIONS].reverse()) await m.down(db.sequelize.getQueryInterface());
    expect(await tables()).toEqual(['SequelizeMeta']);
    for (const m of MIGRATIONS) await m.up(db.sequelize.getQueryInterface());
    expect(await tables()).toContain('grade_changes');
  });

  it('are recorded with what they did, or neither is there', async () => {
    const broken = connect(db.url);
    await db.sequelize.query('delete from "SequelizeMeta"');
    for (const m of [...MIGRATIONS].reverse()) await m.down(db.sequelize.getQueryInterface());
    // The last migration meets a table of its own name.
    await db.sequelize.query('create table audit (id integer)');
    await expect(migrate(broken)).rejects.toThrow('already exists');
    expect(await tables()).toEqual(['SequelizeMeta', 'audit']);
    const [rows] = await db.sequelize.query('select name from "SequelizeMeta"');
    expect(rows).toEqual([]);
    await db.sequelize.query('drop table audit');
    await migrate(broken);
    expect(await tables()).toContain('attendance');
    await broken.close();
    connect(db.url);
  });
});
