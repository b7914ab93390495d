import type { QueryInterface } from 'sequelize';

export const name = '0011-huddle';

/** The whole line together: one question at a time for a program, and what each who is in it has said to it. Both go when it ends. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    create table huddles (id serial primary key, program_id integer not null unique references programs(id) on delete cascade,
      game_id integer not null references games(id) on delete cascade, number integer not null,
      stage text not null check (stage in ('open', 'shown')), question jsonb not null,
      user_id integer references users(id) on delete set null, opened_at timestamptz not null default now());
    create table huddle_men (id serial primary key, huddle_id integer not null references huddles(id) on delete cascade,
      program_id integer not null references programs(id) on delete cascade,
      user_id integer not null references users(id) on delete cascade, seat text not null,
      number integer not null default 0, said jsonb, said_at timestamptz, unique (huddle_id, user_id));
    create index on huddle_men (program_id);
  `);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query('drop table huddle_men, huddles');
}
