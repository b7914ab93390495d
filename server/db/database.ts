import pg from 'pg';
import { QueryTypes, Sequelize, type QueryInterface } from 'sequelize';
import { Umzug } from 'umzug';
import { MIGRATIONS } from './migrations';
import { defineModels } from './models';

/** Any number; the same for every process of this application, so that only one of them migrates at a time. */
const MIGRATION_LOCK = 7_203_114;

/** Nobody waits longer for an answer. */
const LONGEST_STATEMENT_MS = 60_000;

let connection: Sequelize | null = null;
let ready: Promise<Sequelize> | null = null;

export function connect(url: string): Sequelize {
  const sequelize = new Sequelize(url, {
    dialect: 'postgres',
    dialectModule: pg,
    logging: false,
    pool: { min: 0, max: 10, acquire: 10_000 },
    // Compiling a query takes longer than any of ours; one that takes this long has lost its way.
    dialectOptions: { options: `-c jit=off -c statement_timeout=${LONGEST_STATEMENT_MS}` },
  });
  defineModels(sequelize);
  return sequelize;
}

/** Runs what has not run yet, one process at a time: all of it with its record, or nothing. */
export async function migrate(sequelize: Sequelize): Promise<void> {
  await sequelize.transaction(async (transaction) => {
    await sequelize.query(`select pg_advisory_xact_lock(${MIGRATION_LOCK})`, { transaction });
    const query = (sql: string): Promise<unknown> => sequelize.query(sql, { transaction });
    await query('set local statement_timeout = 0');
    await query('create table if not exists "SequelizeMeta" (name varchar(255) primary key)');
    const record = (sql: string, name: string): Promise<unknown> =>
      sequelize.query(sql, { replacements: { name }, transaction });
    const umzug = new Umzug<QueryInterface>({
      migrations: MIGRATIONS.map(({ name, up, down }) => ({
        name,
        up: ({ context }) => up(context),
        down: ({ context }) => down(context),
      })),
      // What a migration asks runs in the transaction that records it.
      context: { sequelize: { query } } as unknown as QueryInterface,
      storage: {
        async executed() {
          const rows = await sequelize.query<{ name: string }>('select name from "SequelizeMeta" order by name', {
            type: QueryTypes.SELECT,
            transaction,
          });
          return rows.map((row) => row.name);
        },
        async logMigration({ name }) {
          await record('insert into "SequelizeMeta" (name) values (:name)', name);
        },
        async unlogMigration({ name }) {
          await record('delete from "SequelizeMeta" where name = :name', name);
        },
      },
      logger: undefined,
    });
    await umzug.up();
  });
}

/** Opens and migrates the application's database once; later calls wait for the same opening. */
export function openDatabase(url: string): Promise<Sequelize> {
  ready ??= (async () => {
    connection = connect(url);
    await migrate(connection);
    return connection;
  })();
  return ready;
}

/** The open database; a request that comes while it is opening waits. */
export async function database(): Promise<Sequelize> {
  if (!ready) throw new Error('the database was used before it was opened');
  return ready;
}

/** Brings the open database up to date again, after another one was put in its place. */
export async function migrateAgain(): Promise<void> {
  await migrate(await database());
}

export async function closeDatabase(): Promise<void> {
  await connection?.close();
  connection = null;
  ready = null;
}
