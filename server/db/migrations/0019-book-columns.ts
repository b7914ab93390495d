import type { QueryInterface } from 'sequelize';

export const name = '0019-book-columns';

/**
 * The marks of seasons that are over are kept column by column, packed, so that whatever is asked of them is counted without going through
 * rows: of a season in `book_counted` it holds, under a stamp that is never given again. What such seasons came to by each dimension is
 * counted from that, and kept no more.
 */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    drop table book_counts;
    delete from book_counted;
    alter table book_counted add column stamp serial unique;
    create index book_counted_program on book_counted (program_id);
    create table book_columns (season_id integer not null references book_counted(season_id) on delete cascade,
      program_id integer not null references programs(id) on delete cascade, name text not null, packed bytea not null,
      primary key (season_id, name));
    create index book_columns_program on book_columns (program_id);
  `);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    drop table book_columns;
    drop index book_counted_program;
    delete from book_counted;
    alter table book_counted drop column stamp;
    create table book_counts (season_id integer not null references book_counted(season_id) on delete cascade,
      program_id integer not null references programs(id) on delete cascade, by text not null, key text,
      kind integer not null references book_kinds(id) on delete cascade, n integer not null);
    create index book_counts_by on book_counts (program_id, by);
    create index book_counts_season on book_counts (season_id);
  `);
}
