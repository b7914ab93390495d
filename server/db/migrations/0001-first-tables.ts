import type { QueryInterface } from 'sequelize';

export const name = '0001-first-tables';

const owned = 'id serial primary key, program_id integer not null references programs(id) on delete cascade';

/** Accounts, programs, seasons, games, roster, snaps, film, grades and the record of their changes. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    create table users (id serial primary key, email text not null unique, name text not null, password_hash text not null);
    create table programs (id serial primary key, name text not null, body jsonb not null default '{}');
    create table players (${owned}, name text not null, number integer not null check (number between 0 and 99), seat text not null);
    create table memberships (id serial primary key, user_id integer not null references users(id) on delete cascade,
      program_id integer not null references programs(id) on delete cascade,
      role text not null check (role in ('coach', 'assistant', 'player')), player_id integer references players(id) on delete set null,
      unique (user_id, program_id));
    create table seasons (${owned}, name text not null);
    create table games (${owned}, season_id integer not null references seasons(id) on delete cascade, opponent text not null,
      week integer not null, published boolean not null default false);
    create table snaps (${owned}, game_id integer not null references games(id) on delete cascade, number integer not null, body jsonb not null,
      unique (game_id, number));
    create table clips (${owned}, snap_id integer not null references snaps(id) on delete cascade, angle text not null, file text not null,
      body jsonb not null, unique (snap_id, angle));
    create table grades (${owned}, snap_id integer not null references snaps(id) on delete cascade, blocker text not null,
      player_id integer references players(id) on delete set null, body jsonb not null, unique (snap_id, blocker));
    create table grade_changes (${owned}, snap_id integer not null references snaps(id) on delete cascade, blocker text not null,
      user_id integer not null references users(id), before jsonb, after jsonb, created_at timestamptz not null default now());
    create index on grades (program_id, player_id);
    create index on snaps (program_id, game_id);
    create index on grade_changes (snap_id, blocker);
  `);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(
    'drop table grade_changes, grades, clips, snaps, games, seasons, memberships, players, programs, users',
  );
}
