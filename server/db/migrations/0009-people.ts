import type { QueryInterface } from 'sequelize';

export const name = '0009-people';

/**
 * What a program needs to be one's own: who keeps the installation, invitations and links for a new password, other coaches who only read,
 * men of the roster with everywhere they can play, when games are played, who was at practice, and what was done with people and when.
 */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    alter table users add column keeper boolean not null default false, add column device_key text;
    alter table programs add column demo boolean not null default false;
    update programs set demo = true where id = 1 and name = 'Larkhollow Lanterns'
      and exists (select 1 from users where email = 'coach@lanterns.example');
    alter table memberships drop constraint memberships_role_check;
    alter table memberships add constraint memberships_role_check check (role in ('coach', 'assistant', 'reader', 'player'));
    alter table sessions add column machine text not null default '', add column seen_at timestamptz not null default now();
    alter table players add column seats text[] not null default '{}', add column defence text not null default '',
      add column left_at timestamptz, add column erased_at timestamptz;
    alter table games add column played_on date;
    create table tickets (id serial primary key, kind text not null check (kind in ('first', 'invitation', 'reset')), hash text not null unique,
      program_id integer references programs(id) on delete cascade, user_id integer references users(id) on delete cascade,
      role text, player_id integer references players(id) on delete cascade, name text not null default '', email text not null default '',
      made_by text not null default '', created_at timestamptz not null default now(), expires_at timestamptz not null, used_at timestamptz);
    create index on tickets (program_id);
    create table audit (id serial primary key, program_id integer not null references programs(id) on delete cascade,
      user_id integer references users(id) on delete set null, what text not null, about text not null default '',
      at timestamptz not null default now());
    create index on audit (program_id, at);
    create table rate_limits (key varchar(255) primary key, points integer not null default 0, expire bigint);
    create table attendance (program_id integer not null references programs(id) on delete cascade,
      player_id integer not null references players(id) on delete cascade, day date not null,
      here text not null check (here in ('here', 'limited', 'away')), note text not null default '', primary key (player_id, day));
    create index on attendance (program_id, day);
  `);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    drop table attendance, audit, tickets, rate_limits;
    alter table games drop column played_on;
    alter table players drop column seats, drop column defence, drop column left_at, drop column erased_at;
    alter table sessions drop column machine, drop column seen_at;
    delete from memberships where role = 'reader';
    alter table memberships drop constraint memberships_role_check;
    alter table memberships add constraint memberships_role_check check (role in ('coach', 'assistant', 'player'));
    alter table programs drop column demo;
    alter table users drop column keeper, drop column device_key;
  `);
}
