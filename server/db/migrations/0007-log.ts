import type { QueryInterface } from 'sequelize';

export const name = '0007-log';

/** Who was on the field in a game (`revision` grows with every change), cuts kept under a name, and what was written and drawn on film. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    alter table games add column lineup jsonb not null default '{}', add column lineup_revision integer not null default 0;
    create table cuts (id serial primary key, program_id integer not null references programs(id) on delete cascade,
      user_id integer not null references users(id), name text not null, body jsonb not null,
      created_at timestamptz not null default now(), unique (program_id, name));
    create table film_notes (id serial primary key, program_id integer not null references programs(id) on delete cascade,
      clip_id integer not null references clips(id) on delete cascade, user_id integer not null references users(id),
      revision integer not null default 1, body jsonb not null, created_at timestamptz not null default now());
    create index film_notes_clip on film_notes (clip_id);
  `);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(
    'drop table film_notes; drop table cuts; alter table games drop column lineup, drop column lineup_revision',
  );
}
