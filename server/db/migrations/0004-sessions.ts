import type { QueryInterface } from 'sequelize';

export const name = '0004-sessions';

/** Who is logged in where: a cookie names one of these and is worth nothing once it has ended. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    create table sessions (id uuid primary key, user_id integer not null references users(id) on delete cascade,
      program_id integer not null references programs(id) on delete cascade,
      created_at timestamptz not null default now(), ended_at timestamptz);
    create index on sessions (user_id);
  `);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query('drop table sessions');
}
