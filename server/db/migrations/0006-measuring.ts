import type { QueryInterface } from 'sequelize';

export const name = '0006-measuring';

/** What was measured on film: the camera of a clip, and places and ways of men on a snap. `revision` grows with every change. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    create table calibrations (id serial primary key, program_id integer not null references programs(id) on delete cascade,
      clip_id integer not null unique references clips(id) on delete cascade,
      user_id integer not null references users(id), body jsonb not null, created_at timestamptz not null default now());
    create table measurings (id serial primary key, program_id integer not null references programs(id) on delete cascade,
      snap_id integer not null unique references snaps(id) on delete cascade,
      user_id integer not null references users(id), revision integer not null, body jsonb not null,
      changed_at timestamptz not null default now());
  `);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query('drop table measurings; drop table calibrations');
}
