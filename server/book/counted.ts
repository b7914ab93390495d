import { QueryTypes, type Sequelize } from 'sequelize';
import { DIMENSION_IDS, type BookFilter, type Dimension } from '#core/grade/book/dimensions';
import { COLUMNS, type Column } from './columns';
import { wordOf } from './words';

/** What dimensions of kinds are counted under: the kinds themselves. */
export const KIND = 'kind';
const OF_MARKS = DIMENSION_IDS.filter((by) => COLUMNS[by].of === 'mark');
const nameOf = (by: Dimension): string => (COLUMNS[by].of === 'mark' ? by : KIND);

const NO_COLUMN: Pick<Column, 'value' | 'join' | 'isWord'> = { value: 'null' };

/** Marks (`b`) counted by kinds, under each value of a dimension of marks; the values of others are read off the kinds. */
export function countMarks(by: string, condition: string): string {
  const { value, join = '', isWord } = by === KIND ? NO_COLUMN : COLUMNS[by as Dimension];
  const key = isWord ? wordOf('key') : 'key::text';
  return `select ${key} as key, kind, n from (
    select ${value} as key, b.kind, count(*)::int as n from book_marks b ${join} where ${condition} group by 1, 2) marks`;
}

/** Where what seasons that are over came to can be read off: the dimension it is kept by, and the values that are wanted of it. */
interface Known {
  readonly name: string;
  /** All of them, without it. */
  readonly keys?: readonly string[];
}

/** Known is what everybody came to by one dimension: asked for is nothing but seasons and values of that one. */
function knownOf(name: string, filter: BookFilter, player: number | null): Known | null {
  const [narrowed, ...more] = DIMENSION_IDS.filter((by) => filter[by] && by !== 'season');
  if (player !== null || more.length > 0) return null;
  if (narrowed === undefined) return { name };
  if (name !== KIND && name !== narrowed) return null;
  const { of, read = String } = COLUMNS[narrowed];
  return of === 'mark' ? { name: narrowed, keys: filter[narrowed]!.map((word) => String(read(word))) } : null;
}

/** A query, and what is to be put in for the names in it. */
export interface Asked {
  readonly sql: string;
  readonly values: Record<string, unknown>;
}

/**
 * A query of how many marks (`n`) of each kind there are under each value (`key`, `null` for none) of a dimension, or of each kind alone.
 * Seasons that are over are not counted again where that can be helped.
 */
export function countedBy(
  by: Dimension | typeof KIND,
  { sql, values }: Asked,
  filter: BookFilter,
  player: number | null,
): Asked {
  const name = by === KIND ? KIND : nameOf(by);
  const known = knownOf(name, filter, player);
  if (!known) return { sql: countMarks(name, sql), values };
  const fresh = `b.season_id = any(array(select id from seasons where program_id = :program except select season_id from book_counted))`;
  const wanted = [
    `b.program_id = :program and b.by = '${known.name}'`,
    ...(filter.season ? [COLUMNS.season.where('_season')] : []),
    ...(known.keys ? ['b.key in (:known)'] : []),
  ].join(' and ');
  return {
    sql: `select key, kind, sum(n)::int as n from (
      select ${name === known.name ? 'b.key' : 'null'} as key, b.kind, b.n from book_counts b where ${wanted}
      union all ${countMarks(name, `${sql} and ${fresh}`)}) known_and_fresh group by 1, 2`,
    values: { ...values, known: known.keys },
  };
}

const COUNT_SEASON = [
  'insert into book_counted (season_id, program_id) values (:season, :program)',
  ...[...OF_MARKS, KIND].map(
    (
      by,
    ) => `insert into book_counts (season_id, program_id, by, key, kind, n) select :season, :program, '${by}', key, kind, n
      from (${countMarks(by, 'b.program_id = :program and b.season_id = :season')}) counted`,
  ),
].join(';\n');

/** Keeps what the seasons come to that are over: of every program all but its newest. */
export async function countSeasons(sequelize: Sequelize): Promise<void> {
  const over = await sequelize.query<{ season: number; program: number }>(
    `select s.id as season, s.program_id as program from seasons s where s.id < (select max(id) from seasons n where n.program_id = s.program_id)
     and not exists (select 1 from book_counted c where c.season_id = s.id)`,
    { type: QueryTypes.SELECT },
  );
  for (const { season, program } of over)
    await sequelize.transaction(async (transaction) => {
      // Nothing is marked in between, and whoever takes the program or the season away waits at its door.
      await sequelize.query(
        `select 1 from programs where id = :program for key share; select 1 from seasons where id = :season for key share;
         lock table book_marks in share row exclusive mode`,
        { replacements: { program, season }, transaction },
      );
      const [isThere] = await sequelize.query('select 1 from book_counted where season_id = :season', {
        type: QueryTypes.SELECT,
        replacements: { season },
        transaction,
      });
      if (!isThere) await sequelize.query(COUNT_SEASON, { replacements: { program, season }, transaction });
    });
}
