import pg from 'pg';
import { Sequelize, type QueryInterface } from 'sequelize';
import { SequelizeStorage, Umzug } from 'umzug';
import { MIGRATIONS } from './migrations';
import { defineModels } from './models';

/** Any number; the same for every process of this application, so that only one of them migrates at a time. */
const MIGRATION_LOCK = 7_203_114;

let connection: Sequelize | null = null;
let ready: Promise<Sequelize> | null = null;

export function connect(url: string): Sequelize {
  const sequelize = new Sequelize(url, {
    dialect: 'postgres',
    dialectModule: pg,
    logging: false,
    pool: { min: 0, max: 10, acquire: 10_000 },
    // Compiling a query takes longer than any of ours.
    dialectOptions: { options: '-c jit=off' },
  });
  defineModels(sequelize);
  return sequelize;
}

/** Runs what has not run yet, one process at a time. */
export async function migrate(sequelize: Sequelize): Promise<void> {
  await sequelize.transaction(async (transaction) => {
    await sequelize.query(`select pg_advisory_xact_lock(${MIGRATION_LOCK})`, { transaction });
    const umzug = new Umzug<QueryInterface>({
      migrations: MIGRATIONS.map(({ name, up, down }) => ({
        name,
        up: ({ context }) => up(context),
        down: ({ context }) => down(context),
      })),
      context: sequelize.getQueryInterface(),
      storage: new SequelizeStorage({ sequelize }),
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

export async function closeDatabase(): Promise<void> {
  await connection?.close();
  connection = null;
  ready = null;
}
