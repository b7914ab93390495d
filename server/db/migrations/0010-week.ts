import type { QueryInterface } from 'sequelize';

export const name = '0010-week';

/**
 * The week before a game: its plan, its practice and its scripts, each with a revision of its own; drills on the program's shelves; and what a
 * man weighs, so that men who meet can be matched.
 */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    create table week_parts (id serial primary key, program_id integer not null references programs(id) on delete cascade,
      game_id integer not null references games(id) on delete cascade, part text not null check (part in ('plan', 'practice', 'scripts')),
      revision integer not null, body jsonb not null, user_id integer references users(id) on delete set null,
      changed_at timestamptz not null default now(), unique (game_id, part));
    create index on week_parts (program_id);
    create table rep_marks (id serial primary key, program_id integer not null references programs(id) on delete cascade,
      game_id integer not null references games(id) on delete cascade, script text not null, rep integer not null,
      good boolean not null, missed text[] not null default '{}', user_id integer references users(id) on delete set null,
      marked_at timestamptz not null default now(), unique (game_id, script, rep));
    create index on rep_marks (program_id);
    create table quiz_answers (id serial primary key, answer uuid not null, program_id integer not null references programs(id) on delete cascade,
      game_id integer not null references games(id) on delete cascade, player_id integer not null references players(id) on delete cascade,
      item_key text not null, body jsonb not null, answered_at timestamptz not null, received_at timestamptz not null default now(), unique (program_id, answer));
    create index on quiz_answers (program_id, game_id);
    create index on quiz_answers (player_id, answered_at);
    alter table documents drop constraint documents_shelf_check;
    alter table documents add constraint documents_shelf_check
      check (shelf in ('schemes', 'fronts', 'formations', 'spaces', 'drills'));
    alter table players add column weight integer check (weight between 60 and 600);
  `);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    alter table players drop column weight;
    delete from documents where shelf = 'drills';
    alter table documents drop constraint documents_shelf_check;
    alter table documents add constraint documents_shelf_check check (shelf in ('schemes', 'fronts', 'formations', 'spaces'));
    drop table week_parts, rep_marks, quiz_answers;
  `);
}
