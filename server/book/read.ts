import { QueryTypes, type Sequelize } from 'sequelize';
import { DIMENSION_IDS, type BookFilter, type Dimension } from '#core/grade/book/dimensions';
import type { BookLine } from '#core/grade/book/lines';
import { SPREAD_PARTS, sumOfSpreads, type Spread } from '#core/grade/book/spread';
import { MEASURE_IDS, type Count, type Measure } from '#core/grade/book/measures';
import { COLUMNS, SPREADS } from './columns';
import { CONSEQUENCES } from '#core/model/grade';
import { MISS_WEIGHTS } from '#core/grade/book/weigh';

/** Who may see what: everything of a program, or one player's marks of published games. */
export interface Reach {
  readonly program: number;
  readonly player: number | null;
}

interface Condition {
  readonly sql: string;
  readonly values: Record<string, unknown>;
}

/** The yes and no column of each measure that has one. */
export const TOLD: Readonly<Partial<Record<Measure, string>>> = {
  assignment: 'b.assignment',
  technique: 'b.technique',
  both: 'b.both_kept',
  finish: 'b.finish',
  outcome: 'b.outcome',
  film: 'b.film',
};
const counted = Object.entries(TOLD)
  .map(
    ([measure, column]) =>
      `count(*) filter (where ${column})::int as "${measure}Good", count(${column})::int as "${measure}Of"`,
  )
  .join(', ');
const spreading = SPREAD_PARTS.map((part) => `count(*) filter (where ${SPREADS[part]})::int as "spread ${part}"`).join(
  ', ',
);
/** What weighing misses adds: nothing for all but the few of which somebody said what they meant. */
const weight = `(case b.consequence ${CONSEQUENCES.map((c) => `when '${c}' then ${MISS_WEIGHTS[c] - 1}`).join(' ')} end)`;
const missed = `b.consequence is not null and not (${SPREADS.all})`;
const weighing = ['earned', 'possible']
  .map((part) => `sum(b.${part} * ${weight}) filter (where ${missed})::float8 as "${part}More"`)
  .join(', ');
const COUNTS = `count(*)::int as marks, ${counted}, ${spreading}, sum(b.earned)::float8 as earned, sum(b.possible)::float8 as possible,
  ${weighing}, count(*) filter (where b.possible > 0)::int as scored`;

/** What is asked of `book_marks`: nothing of another program, and of a player nothing but his own in published games. */
export function conditionOf({ program, player }: Reach, filter: BookFilter): Condition {
  const parts = ['b.program_id = :program'];
  const values: Record<string, unknown> = { program };
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
    const { where, read } = COLUMNS[key];
    parts.push(where(`_${key}`));
    values[`_${key}`] = read ? wanted.map(read) : wanted;
  }
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
  return { key: row.key, label: row.key, marks: row.marks, counts, spread, faults: [] };
}

/** Everything a filter leaves, counted together. */
export async function readTotal(db: Sequelize, reach: Reach, filter: BookFilter): Promise<BookLine> {
  const { sql, values } = conditionOf(reach, filter);
  const [row] = await db.query<CountRow>(`select 'all' as key, ${COUNTS} from book_marks b where ${sql}`, {
    type: QueryTypes.SELECT,
    replacements: values,
  });
  return lineOf(row!);
}

/** Grades by one dimension, the most marks first. Of a part of the block `technique` says whether that very part was done. */
export async function readLines(db: Sequelize, reach: Reach, filter: BookFilter, by: Dimension): Promise<BookLine[]> {
  const { sql, values } = conditionOf(reach, filter);
  const { value, join = '' } = COLUMNS[by];
  const counts = by === 'phase' ? COUNTS.replaceAll('b.technique', 'v.kept') : COUNTS;
  const counting = db.query<CountRow>(
    `select ${value} as key, ${counts} from book_marks b ${join} where ${sql} and ${value} is not null group by 1 order by marks desc, key`,
    { type: QueryTypes.SELECT, replacements: values },
  );
  if (by === 'fault') return (await counting).map(lineOf);
  const tagging = db.query<{ key: string; fault: string; count: number }>(
    `select ${value} as key, f.fault, count(*)::int as count from book_marks b ${join} cross join lateral unnest(b.faults) as f(fault)
     where ${sql} and b.faults <> '{}' and ${value} is not null group by 1, 2 order by count desc, fault`,
    { type: QueryTypes.SELECT, replacements: values },
  );
  const [rows, faults] = await Promise.all([counting, tagging]);
  return rows.map(lineOf).map((line) => ({
    ...line,
    faults: faults.filter((f) => f.key === line.key).map(({ fault, count }) => ({ fault, count })),
  }));
}

/** Sums lines that together hold every grade once. */
export function sumOf(lines: readonly BookLine[]): BookLine {
  const counts = Object.fromEntries(
    MEASURE_IDS.map((m) => {
      const sum = (part: keyof Count): number => lines.reduce((total, l) => total + l.counts[m][part], 0);
      return [m, { good: sum('good'), of: sum('of'), unknown: sum('unknown') }];
    }),
  ) as BookLine['counts'];
  const marks = lines.reduce((total, l) => total + l.marks, 0);
  return { key: 'all', label: 'all', marks, counts, spread: sumOfSpreads(lines.map((l) => l.spread)), faults: [] };
}
