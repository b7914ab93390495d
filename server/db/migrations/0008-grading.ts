import type { QueryInterface } from 'sequelize';

export const name = '0008-grading';

/**
 * Grades with a revision, with what was asked frozen beside them, and on sheets (0 is the program's grade, otherwise a user's own reading);
 * a revision of what a snap asks; the rubric of a season; what was found out about a snap; what players say to their grades; and what the Book counts by, a row a grade. Grades of older builds had one fault.
 */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    alter table snaps add column revision integer not null default 1;
    alter table seasons add column rubric text not null default 'assignment-technique@1', add column pass_line real;
    alter table games add column own_grades boolean not null default false;
    alter table grades add column sheet integer not null default 0, add column revision integer not null default 1,
      add column entry uuid, add column user_id integer references users(id), add column asked jsonb,
      add column changed_at timestamptz not null default now();
    alter table grades drop constraint grades_snap_id_blocker_key;
    alter table grades add constraint grades_sheet unique (snap_id, sheet, blocker);
    alter table grade_changes add column sheet integer not null default 0;
    update grades set body = (body - 'fault') || jsonb_build_object('faults',
      case when coalesce(body->>'fault', '') = '' then '[]'::jsonb else jsonb_build_array(body->'fault') end) where body ? 'fault';
    update grade_changes set before = (before - 'fault') || jsonb_build_object('faults',
      case when coalesce(before->>'fault', '') = '' then '[]'::jsonb else jsonb_build_array(before->'fault') end) where before ? 'fault';
    update grade_changes set after = (after - 'fault') || jsonb_build_object('faults',
      case when coalesce(after->>'fault', '') = '' then '[]'::jsonb else jsonb_build_array(after->'fault') end) where after ? 'fault';
    update grades g set user_id = (select c.user_id from grade_changes c where c.snap_id = g.snap_id and c.blocker = g.blocker order by c.id desc limit 1);
    update grades g set asked = (select jsonb_build_object('block', a->'block', 'target', a->'target', 'next', a->'next', 'partners', a->'partners',
        'role', coalesce(a->'technique'->'role', '"alone"'::jsonb), 'schools', coalesce(a->'technique'->'schools', '[]'::jsonb))
      from snaps s, jsonb_array_elements(s.body->'resolution'->'assignments') a where s.id = g.snap_id and a->>'blocker' = g.blocker limit 1);
    create table snap_findings (id serial primary key, program_id integer not null references programs(id) on delete cascade,
      snap_id integer not null unique references snaps(id) on delete cascade, user_id integer not null references users(id),
      revision integer not null, body jsonb not null, changed_at timestamptz not null default now());
    create table acknowledgements (id serial primary key, program_id integer not null references programs(id) on delete cascade,
      game_id integer not null references games(id) on delete cascade, snap_id integer references snaps(id) on delete cascade,
      player_id integer not null references players(id) on delete cascade, user_id integer not null references users(id),
      question text not null default '', answer text not null default '', created_at timestamptz not null default now());
    create index acknowledgements_game on acknowledgements (game_id);
    create table book_marks (grade_id integer primary key references grades(id) on delete cascade,
      program_id integer not null references programs(id) on delete cascade, season_id integer not null, game_id integer not null,
      snap_id integer not null, number smallint not null, player_id integer,
      blocker text not null, unit text not null, pair text, scheme text not null, side text not null, front text not null, formation text not null,
      block text not null, help text not null, quarter smallint not null, down smallint not null, distance text not null, zone text,
      gained text not null, rubric text not null,
      assignment boolean, technique boolean, finish boolean, both_kept boolean, outcome boolean, film boolean, earned real not null, possible real not null,
      faults text[] not null, facts text[] not null, phases_done text[] not null, phases_not text[] not null);
    create table book_snaps (snap_id integer primary key references snaps(id) on delete cascade,
      program_id integer not null references programs(id) on delete cascade, season_id integer not null, game_id integer not null,
      number smallint not null, scheme text not null, side text not null, front text not null, formation text not null,
      quarter smallint not null, down smallint not null, distance text not null, zone text, gained text not null,
      gain smallint not null, result text not null, throws boolean not null, success boolean not null, stuffed boolean not null,
      explosive boolean not null, blocked boolean, pressured boolean not null);
    create index book_snaps_season on book_snaps (program_id, season_id);
    create index book_snaps_game on book_snaps (game_id);
    create index book_marks_season on book_marks (program_id, season_id);
    create index book_marks_faulty on book_marks (program_id, season_id) where faults <> '{}';
    create index book_marks_game on book_marks (game_id);
    create index book_marks_player on book_marks (program_id, player_id);
    create index book_marks_snap on book_marks (snap_id);
  `);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    drop table book_marks, book_snaps, snap_findings, acknowledgements;
    delete from grades where sheet <> 0;
    alter table grades drop constraint grades_sheet;
    alter table grades add constraint grades_snap_id_blocker_key unique (snap_id, blocker);
    update grades set body = (body - 'faults') || jsonb_build_object('fault', body->'faults'->0) where body ? 'faults';
    alter table grades drop column sheet, drop column revision, drop column entry, drop column user_id, drop column asked, drop column changed_at;
    alter table grade_changes drop column sheet;
    alter table games drop column own_grades;
    alter table seasons drop column rubric, drop column pass_line;
    alter table snaps drop column revision;
  `);
}
