import type { QueryInterface } from 'sequelize';

export const name = '0017-book-words';

/** Words that every mark has, and words it may have not. */
const WORDS = ['blocker', 'unit', 'scheme', 'side', 'front', 'formation', 'block', 'help', 'distance', 'gained'];
const MAYBE = ['pair', 'zone', 'target'];
const NUMBERS = ['quarter', 'down', 'number'];
const WHOSE = ['program_id', 'kind', 'season_id', 'game_id', 'snap_id'];
const SAID = [
  ...['rubric', 'assignment', 'technique', 'finish', 'both_kept', 'outcome', 'film', 'earned', 'possible'],
  ...['faults', 'facts', 'consequence', 'phases_done', 'phases_not'],
];
const PLAY = "m.scheme || ' ' || m.side";
const listed = (columns: readonly string[], each: (column: string) => string): string => columns.map(each).join(', ');
const wordOf = (column: string): string => `(select word from book_words where id = m.${column}) as ${column}`;
/** The words a column is looked up in, one look through them for all marks. */
const lookedUp = (columns: readonly string[], on: (column: string) => string): string =>
  columns.map((c) => `left join book_words w_${c} on ${on(c)}`).join(' ');
const byWord = (column: string): string =>
  `w_${column}.program_id = m.program_id and w_${column}.word = ${column === 'play' ? PLAY : `m.${column}`}`;
const byNumber = (column: string): string => `w_${column}.id = m.${column}`;
/** The view of marks with what their kinds say, in words. */
const view = (columns: string): string =>
  `create view book_grades as select ${columns}, ${listed(SAID, (c) => `k.${c}`)} from book_marks m join book_kinds k on k.id = m.kind`;
/** Whatever hangs on `book_marks`, made anew with it. */
export const AROUND = `
  alter table book_marks add primary key (grade_id), add foreign key (grade_id) references grades(id) on delete cascade,
    add foreign key (kind) references book_kinds(id) on delete cascade, add foreign key (program_id) references programs(id) on delete cascade;
  create index book_marks_game on book_marks (game_id);
  create index book_marks_order on book_marks (program_id, game_id desc, number, blocker);
  create index book_marks_player on book_marks (program_id, player_id);
  create index book_marks_season on book_marks (program_id, season_id);
  create index book_marks_snap on book_marks (snap_id);
  create trigger book_counted_added after insert on book_marks referencing new table as changed
    for each statement execute function book_counted_no_more();
  create trigger book_counted_gone after delete on book_marks referencing old table as changed
    for each statement execute function book_counted_no_more();`;
/** The columns of marks with numbers for words, as this migration orders them. */
export const NUMBERED: readonly string[] = [...WHOSE, ...WORDS, 'play', ...NUMBERS, 'grade_id', 'player_id', ...MAYBE];
/** The view of such marks. */
export const viewOfNumbers = view(
  `${listed([...WHOSE, 'grade_id', 'player_id', ...NUMBERS], (c) => `m.${c}`)}, ${listed([...WORDS, ...MAYBE], wordOf)}`,
);
const [ALWAYS, SOMETIMES] = ['not null', ''];
const typed = (columns: readonly string[], type: string, must: string): string =>
  listed(columns, (c) => `${c} ${type} ${must}`);

/**
 * Words of the Book have numbers, each word of a program one, and marks have the numbers: what every mark has comes first, so that hundreds of
 * thousands are looked through quickly. A play and the side it goes to are one word too, as they are counted together.
 */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    create table book_words (id serial primary key, program_id integer not null references programs(id) on delete cascade, word text not null,
      unique (program_id, word));
    insert into book_words (program_id, word) select distinct m.program_id, w.word from book_marks m
      cross join lateral (values (${PLAY}), ${listed([...WORDS, ...MAYBE], (c) => `(m.${c})`)}) as w(word) where w.word is not null;
    create table book_numbered (${typed(WHOSE, 'integer', ALWAYS)}, ${typed(WORDS, 'integer', ALWAYS)}, play integer not null,
      ${typed(NUMBERS, 'smallint', ALWAYS)}, grade_id integer not null, player_id integer, ${typed(MAYBE, 'integer', SOMETIMES)});
    analyze book_words;
    insert into book_numbered select ${listed(WHOSE, (c) => `m.${c}`)}, ${listed([...WORDS, 'play'], (c) => `w_${c}.id`)},
      ${listed(NUMBERS, (c) => `m.${c}`)}, m.grade_id, m.player_id, ${listed(MAYBE, (c) => `w_${c}.id`)}
      from book_marks m ${lookedUp([...WORDS, ...MAYBE, 'play'], byWord)};
    drop view book_grades;
    drop table book_marks;
    alter table book_numbered rename to book_marks;
    ${AROUND}
    ${viewOfNumbers};
  `);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    create table book_said (grade_id integer not null, ${typed(WHOSE, 'integer', ALWAYS)}, player_id integer, ${typed(WORDS, 'text', ALWAYS)},
      ${typed(NUMBERS, 'smallint', ALWAYS)}, ${typed(MAYBE, 'text', SOMETIMES)});
    insert into book_said select m.grade_id, ${listed(WHOSE, (c) => `m.${c}`)}, m.player_id, ${listed(WORDS, (c) => `w_${c}.word`)},
      ${listed(NUMBERS, (c) => `m.${c}`)}, ${listed(MAYBE, (c) => `w_${c}.word`)} from book_marks m ${lookedUp([...WORDS, ...MAYBE], byNumber)};
    drop view book_grades;
    drop table book_marks, book_words;
    alter table book_said rename to book_marks;
    ${AROUND}
    ${view('m.*')};
  `);
}
