import { QueryTypes, type Sequelize } from 'sequelize';
import { DIMENSION_IDS, type BookFilter, type Dimension } from '#core/grade/book/dimensions';
import type { BookLine } from '#core/grade/book/lines';
import { SPREAD_PARTS, type Spread } from '#core/grade/book/spread';
import { MEASURE_IDS, type Count, type Measure } from '#core/grade/book/measures';
import { COLUMNS, SPREADS, type Column } from './columns';
import { countedBy, type Asked } from './counted';
import { numbersOf } from './words';
import { CONSEQUENCES } from '#core/model/grade';
import { MISS_WEIGHTS } from '#core/grade/book/weigh';

/** Who may see what: everything of a program, or one player's marks of published games. */
export interface Reach {
  readonly program: number;
  readonly player: number | null;
}

/** The number of a word that no mark has. */
const NO_WORD = -1;

/** The yes and no column of each measure that has one, of a kind of marks. */
export const TOLD: Readonly<Partial<Record<Measure, string>>> = {
  assignment: 'k.assignment',
  technique: 'k.technique',
  both: 'k.both_kept',
  finish: 'k.finish',
  outcome: 'k.outcome',
  film: 'k.film',
};
/** How many marks (`c.n` of each kind) are so. */
const marksWhere = (condition: string): string => `coalesce(sum(c.n) filter (where ${condition}), 0)::int`;
const yesAndNo = Object.entries(TOLD)
  .map(
    ([measure, column]) =>
      `${marksWhere(column)} as "${measure}Good", ${marksWhere(`${column} is not null`)} as "${measure}Of"`,
  )
  .join(', ');
const spreading = SPREAD_PARTS.map((part) => `${marksWhere(SPREADS[part])} as "spread ${part}"`).join(', ');
/** What weighing misses adds: nothing for all but the few of which somebody said what they meant. */
const weight = `(case k.consequence ${CONSEQUENCES.map((c) => `when '${c}' then ${MISS_WEIGHTS[c] - 1}`).join(' ')} end)`;
const missed = `k.consequence is not null and not (${SPREADS.all})`;
const weighing = ['earned', 'possible']
  .map((part) => `sum(c.n * k.${part} * ${weight}) filter (where ${missed})::float8 as "${part}More"`)
  .join(', ');
const COUNTS = `coalesce(sum(c.n), 0)::int as marks, ${yesAndNo}, ${spreading}, sum(c.n * k.earned)::float8 as earned,
  sum(c.n * k.possible)::float8 as possible, ${weighing}, ${marksWhere('k.possible > 0')} as scored`;

/** What is asked of `book_marks`, or of what else has such columns: nothing of another program, and of a player nothing but his own in published games. */
export async function conditionOf(
  db: Sequelize,
  { program, player }: Reach,
  filter: BookFilter,
  columnOf: (key: Dimension) => Column = (key) => COLUMNS[key],
): Promise<Asked> {
  const parts = ['b.program_id = :program'];
  const values: Record<string, unknown> = { program };
  const words = new Map<string, readonly string[]>();
  if (player !== null) {
    parts.push(
      'b.player_id = :player',
      'b.game_id in (select id from games where program_id = :program and published)',
    );
    values.player = player;
  }
  for (const key of DIMENSION_IDS) {
    const wanted = filter[key];
    if (!wanted) continue;
    const { where, read, isWord } = columnOf(key);
    parts.push(where(`_${key}`));
    if (isWord) words.set(`_${key}`, wanted);
    else values[`_${key}`] = read ? wanted.map(read) : wanted;
  }
  // Numbers, not a search for them, so that the database knows how many marks they are of.
  const numbers = words.size ? await numbersOf(db, program, [...new Set([...words.values()].flat())]) : null;
  for (const [name, wanted] of words) values[name] = wanted.map((word) => numbers!.get(word) ?? NO_WORD);
  return { sql: parts.join(' and '), values };
}

interface CountRow extends Record<string, unknown> {
  readonly key: string;
  readonly marks: number;
  readonly earned: number | null;
  readonly possible: number | null;
  /** What weighing misses by what they meant adds to both. */
  readonly earnedMore: number | null;
  readonly possibleMore: number | null;
  readonly scored: number;
  readonly faults: BookLine['faults'];
}

function lineOf(row: CountRow): BookLine {
  const count = (measure: Measure): Count => {
    const [earned, possible, unknown] = [row.earned ?? 0, row.possible ?? 0, row.marks - row.scored];
    if (measure === 'score') return { good: earned, of: possible, unknown };
    if (measure === 'weighed')
      return { good: earned + (row.earnedMore ?? 0), of: possible + (row.possibleMore ?? 0), unknown };
    const [good, of] = [Number(row[`${measure}Good`]), Number(row[`${measure}Of`])];
    return { good, of, unknown: row.marks - of };
  };
  const counts = Object.fromEntries(MEASURE_IDS.map((m) => [m, count(m)])) as BookLine['counts'];
  const spread = Object.fromEntries(SPREAD_PARTS.map((part) => [part, Number(row[`spread ${part}`])])) as Spread;
  return { key: row.key, label: row.key, marks: row.marks, counts, spread, faults: row.faults };
}

/** Counted marks (`c`) with what their kinds say, under each value of a dimension: where from, and what the value is. */
function toldBy(by: Dimension): { from: string; key: string } {
  const { of, value, join = '' } = COLUMNS[by];
  const from = 'counted c join book_kinds k on k.id = c.kind';
  return of === 'mark' ? { from, key: 'c.key' } : { from: `${from} ${join}`, key: value };
}

/**
 * Grades by one dimension, the most marks first, and everything together. Of a part of the block `technique` says whether that very part was
 * done. Marks are counted by kinds first, of which there are few: what the kinds say is added up then.
 */
export async function readLines(
  db: Sequelize,
  reach: Reach,
  filter: BookFilter,
  by: Dimension,
): Promise<{ lines: BookLine[]; total: BookLine }> {
  const { sql, values } = countedBy(by, await conditionOf(db, reach, filter), filter, reach.player);
  const { from, key } = toldBy(by);
  const counts = by === 'phase' ? COUNTS.replaceAll('k.technique', 'v.kept') : COUNTS;
  // Lines of a fault do not tell its own count once more.
  const faults = by === 'fault' ? "'{}'::text[]" : 'k.faults';
  const rows = await db.query<CountRow>(
    `with counted as materialized (${sql}),
       lines as (select ${key} as key, ${counts} from ${from} where ${key} is not null group by 1),
       tags as (select ${key} as key, f.fault, sum(c.n)::int as count from ${from} cross join lateral unnest(${faults}) as f(fault)
         where ${key} is not null group by 1, 2),
       tagged as (select key, jsonb_agg(jsonb_build_object('fault', fault, 'count', count) order by count desc, fault) as faults from tags group by 1)
     select 0 as part, lines.*, coalesce(faults, '[]') as faults from lines left join tagged using (key)
     union all select 1, null, ${COUNTS}, '[]' from counted c join book_kinds k on k.id = c.kind
     order by part, marks desc, key`,
    { type: QueryTypes.SELECT, replacements: values },
  );
  return { lines: rows.slice(0, -1).map(lineOf), total: { ...lineOf(rows.at(-1)!), key: 'all', label: 'all' } };
}

/** The values of a dimension that come, with how many marks stand under each, the most first. */
export async function readValues(
  db: Sequelize,
  reach: Reach,
  filter: BookFilter,
  by: Dimension,
): Promise<{ key: string; marks: number }[]> {
  const { sql, values } = countedBy(by, await conditionOf(db, reach, filter), filter, reach.player);
  const { from, key } = toldBy(by);
  return db.query<{ key: string; marks: number }>(
    `with counted as (${sql}) select ${key} as key, sum(c.n)::int as marks from ${from}
     where ${key} is not null group by 1 order by marks desc, key limit ${MOST_VALUES}`,
    { type: QueryTypes.SELECT, replacements: values },
  );
}
const MOST_VALUES = 200;
