import type { QueryInterface } from 'sequelize';

export const name = '0014-book-kinds';

/** What a mark says, apart from whose and when it was: hundreds of thousands of marks are of a few hundred kinds. */
const SAID = [
  ...['rubric', 'assignment', 'technique', 'finish', 'both_kept', 'outcome', 'film', 'earned', 'possible'],
  ...['faults', 'facts', 'consequence', 'phases_done', 'phases_not'],
];
/** A list of columns, of an alias. */
const listed = (alias = ''): string => SAID.map((column) => `${alias}${column}`).join(', ');

/** Marks of the Book name the kind they are of, so that counting them is counting kinds. `book_grades` has both side by side. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    create table book_kinds (id serial primary key, program_id integer not null references programs(id) on delete cascade,
      rubric text not null, assignment boolean, technique boolean, finish boolean, both_kept boolean, outcome boolean, film boolean,
      earned double precision not null, possible double precision not null, faults text[] not null, facts text[] not null,
      consequence text, phases_done text[] not null, phases_not text[] not null);
    insert into book_kinds (program_id, ${listed()}) select distinct program_id, ${listed()} from book_marks;
    alter table book_kinds add constraint book_kinds_said unique nulls not distinct (program_id, ${listed()});
    alter table book_marks add column kind integer references book_kinds(id) on delete cascade;
    update book_marks b set kind = k.id from book_kinds k where k.program_id = b.program_id
      and ${SAID.map((column) => `k.${column} is not distinct from b.${column}`).join(' and ')};
    alter table book_marks alter column kind set not null, ${SAID.map((column) => `drop column ${column}`).join(', ')};
    create view book_grades as select b.*, ${listed('k.')} from book_marks b join book_kinds k on k.id = b.kind;
  `);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    drop view book_grades;
    alter table book_marks add column rubric text, add column assignment boolean, add column technique boolean, add column finish boolean,
      add column both_kept boolean, add column outcome boolean, add column film boolean, add column earned real, add column possible real,
      add column faults text[], add column facts text[], add column consequence text, add column phases_done text[], add column phases_not text[];
    update book_marks b set ${SAID.map((column) => `${column} = k.${column}`).join(', ')} from book_kinds k where k.id = b.kind;
    alter table book_marks drop column kind, alter column rubric set not null, alter column earned set not null, alter column possible set not null,
      alter column faults set not null, alter column facts set not null, alter column phases_done set not null, alter column phases_not set not null;
    create index book_marks_faulty on book_marks (program_id, season_id) where faults <> '{}';
    drop table book_kinds;
  `);
}
