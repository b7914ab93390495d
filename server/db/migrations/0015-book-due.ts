import type { QueryInterface } from 'sequelize';

export const name = '0015-book-due';

/**
 * Snaps of which the Book does not say any more what is so. The database itself notes them, so that no change can be forgotten: of a
 * snap, of a grade on the program's sheet, of the season a game is in or whom it is against. Whoever reads the Book brings it up to date first.
 * And what seasons that are over come to, by every dimension, so that nobody counts them again: of a season in `book_counted` it holds.
 */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    create table book_due (snap_id integer primary key references snaps(id) on delete cascade,
      program_id integer not null references programs(id) on delete cascade);
    create index book_due_program on book_due (program_id);
    insert into book_due select s.id, s.program_id from snaps s left join book_snaps b on b.snap_id = s.id where b.snap_id is null;
    create function book_due_snap() returns trigger language plpgsql as $$ begin
      insert into book_due values (new.id, new.program_id) on conflict do nothing;
      return null;
    end $$;
    create trigger book_due_made after insert on snaps for each row execute function book_due_snap();
    create trigger book_due_changed after update of body, number, game_id on snaps for each row execute function book_due_snap();
    create function book_due_grade() returns trigger language plpgsql as $$ begin
      insert into book_due values (new.snap_id, new.program_id) on conflict do nothing;
      return null;
    end $$;
    create trigger book_due_graded after insert or update on grades for each row when (new.sheet = 0) execute function book_due_grade();
    create function book_due_ungraded() returns trigger language plpgsql as $$ begin
      -- Nothing of a snap, or of a program, that is being taken away itself.
      insert into book_due select s.id, s.program_id from snaps s join programs p on p.id = s.program_id where s.id = old.snap_id
        on conflict do nothing;
      return null;
    end $$;
    create trigger book_due_ungraded after delete on grades for each row when (old.sheet = 0) execute function book_due_ungraded();
    create function book_due_game() returns trigger language plpgsql as $$ begin
      insert into book_due select s.id, s.program_id from snaps s where s.game_id = new.id on conflict do nothing;
      return null;
    end $$;
    create trigger book_due_moved after update of season_id, opponent on games for each row
      when (new.season_id <> old.season_id or new.opponent <> old.opponent) execute function book_due_game();
    create table book_counted (season_id integer primary key references seasons(id) on delete cascade,
      program_id integer not null references programs(id) on delete cascade);
    create table book_counts (season_id integer not null references book_counted(season_id) on delete cascade,
      program_id integer not null references programs(id) on delete cascade, by text not null, key text,
      kind integer not null references book_kinds(id) on delete cascade, n integer not null);
    create function book_counted_no_more() returns trigger language plpgsql as $$ begin
      delete from book_counted where season_id in (select season_id from changed);
      return null;
    end $$;
    create trigger book_counted_added after insert on book_marks referencing new table as changed
      for each statement execute function book_counted_no_more();
    create trigger book_counted_gone after delete on book_marks referencing old table as changed
      for each statement execute function book_counted_no_more();
    create index book_counts_by on book_counts (program_id, by);
    create index book_counts_season on book_counts (season_id);
    create index book_marks_order on book_marks (program_id, game_id desc, number, blocker);
  `);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    drop trigger book_counted_added on book_marks;
    drop trigger book_counted_gone on book_marks;
    drop trigger book_due_moved on games;
    drop trigger book_due_graded on grades;
    drop trigger book_due_ungraded on grades;
    drop trigger book_due_made on snaps;
    drop trigger book_due_changed on snaps;
    drop function book_due_snap, book_due_grade, book_due_ungraded, book_due_game, book_counted_no_more;
    drop index book_marks_order;
    drop table book_due, book_counts, book_counted;
  `);
}
