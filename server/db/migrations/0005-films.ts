import type { QueryInterface } from 'sequelize';

export const name = '0005-films';

/** Film that came in: from the upload on, before and after it shows a snap. A clip may come from one. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    create table films (id serial primary key, program_id integer not null references programs(id) on delete cascade,
      upload text not null unique, name text not null,
      kind text not null check (kind in ('own game', 'opponent', 'practice', 'teaching')),
      state text not null check (state in ('waiting', 'working', 'ready', 'refused', 'cancelled')),
      bytes bigint not null, checksum text, game_id integer references games(id) on delete set null,
      user_id integer not null references users(id), body jsonb not null default '{}', created_at timestamptz not null default now());
    create index on films (program_id, checksum);
    alter table clips add column film_id integer references films(id) on delete set null;
  `);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query('alter table clips drop column film_id; drop table films');
}
