import type { QueryInterface } from 'sequelize';
import { AROUND, NUMBERED, viewOfNumbers } from './0017-book-words';

export const name = '0018-book-order';

/** Whatever marks are counted by and narrowed to most stands first: a row is read only as far as the last column that is asked for. */
const BY_USE = [
  ...[
    'program_id',
    'kind',
    'player_id',
    'season_id',
    'game_id',
    'block',
    'help',
    'blocker',
    'play',
    'front',
    'down',
    'quarter',
    'distance',
  ],
  ...['unit', 'scheme', 'side', 'formation', 'gained', 'number', 'snap_id', 'grade_id', 'pair', 'zone', 'target'],
];

/** The same table with its columns in this order. */
async function inOrder(queries: QueryInterface, columns: readonly string[]): Promise<void> {
  const listed = columns.join(', ');
  const mustHave = columns.filter((c) => !['player_id', 'pair', 'zone', 'target'].includes(c));
  await queries.sequelize.query(`
    create table book_ordered as select ${listed} from book_marks order by program_id, game_id, number, blocker;
    ${mustHave.map((c) => `alter table book_ordered alter column ${c} set not null;`).join('\n')}
    drop view book_grades;
    drop table book_marks;
    alter table book_ordered rename to book_marks;
    ${AROUND}
    ${viewOfNumbers}`);
}

export const up = (queries: QueryInterface): Promise<void> => inOrder(queries, BY_USE);
export const down = (queries: QueryInterface): Promise<void> => inOrder(queries, NUMBERED);
