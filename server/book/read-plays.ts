import { QueryTypes, type Sequelize } from 'sequelize';
import { isOfSnap, type BookFilter, type Dimension, type SnapDimension } from '#core/grade/book/dimensions';
import { PLAY_COUNT_IDS, type GainCount, type PlayCount, type PlayLine } from '#core/grade/book/play-result';
import { COLUMNS } from './columns';

/** Which snaps each figure counts: what it counts is what it opens. */
const WHICH: Readonly<Record<PlayCount, string>> = {
  snaps: 'true',
  runs: 'not b.throws',
  touched: 'b.before_contact is not null',
  successes: 'b.success',
  stuffed: 'b.stuffed',
  explosive: 'b.explosive',
  throws: 'b.throws',
  pressured: 'b.pressured',
  graded: 'b.blocked is not null',
  blocked: 'b.blocked',
  blockedFailed: 'b.blocked and not b.success',
  missedWorked: 'not b.blocked and b.success',
};
const COUNTS = PLAY_COUNT_IDS.map((c) => `count(*) filter (where ${WHICH[c]})::int as "${c}"`).join(', ');

/** Plays are narrowed by what a snap has; what only a man has does not narrow them. */
function conditionOf(program: number, filter: BookFilter): { sql: string; values: Record<string, unknown> } {
  const parts = ['b.program_id = :program'];
  const values: Record<string, unknown> = { program };
  for (const [key, wanted] of Object.entries(filter) as [Dimension, string[]][]) {
    if (!isOfSnap(key)) continue;
    const { where, read } = COLUMNS[key];
    parts.push(where(`_${key}`));
    values[`_${key}`] = read ? wanted.map(read) : wanted;
  }
  return { sql: parts.join(' and '), values };
}

type ResultRow = Omit<PlayLine, 'counts'> & Record<PlayCount, number>;

/** What snaps came to, by a dimension of snaps. */
export async function readResults(
  db: Sequelize,
  program: number,
  filter: BookFilter,
  by: SnapDimension,
): Promise<PlayLine[]> {
  const { sql, values } = conditionOf(program, filter);
  const { value, join = '', isOptional, parts = '1' } = COLUMNS[by];
  const where = isOptional ? `${sql} and ${value} is not null` : sql;
  const rows = await db.query<ResultRow>(
    `select value::text as key, value::text as label, lines.* from (
       select ${value} as value, sum(b.gain)::int as yards, coalesce(sum(b.gain) filter (where not b.throws), 0)::int as "runYards",
         coalesce(sum(b.before_contact), 0)::int as "beforeContact", ${COUNTS}
       from book_snaps b ${join} where ${where} group by ${parts}) lines order by snaps desc, key`,
    { type: QueryTypes.SELECT, replacements: values },
  );
  return rows.map((row) => ({
    ...{ key: row.key, label: row.label, yards: row.yards, runYards: row.runYards, beforeContact: row.beforeContact },
    counts: Object.fromEntries(PLAY_COUNT_IDS.map((c) => [c, row[c]])) as PlayLine['counts'],
  }));
}

/** How many snaps gained how much. */
export async function readGains(db: Sequelize, program: number, filter: BookFilter): Promise<GainCount[]> {
  const { sql, values } = conditionOf(program, filter);
  return db.query<GainCount>(
    `select b.gain::int as gain, count(*) filter (where b.blocked)::int as blocked,
       count(*) filter (where not b.blocked)::int as missed, count(*) filter (where b.blocked is null)::int as untold
     from book_snaps b where ${sql} group by 1 order by 1`,
    { type: QueryTypes.SELECT, replacements: values },
  );
}

/** One snap behind a figure. */
export interface PlayRow {
  readonly snapId: number;
  readonly number: number;
  readonly gameId: number;
  readonly scheme: string;
  readonly side: string;
  readonly front: string;
  readonly blocked: boolean | null;
  readonly missed: string[];
}

/** The snaps a figure counts, the shortest gains first, with the blockers who did not do what they were asked. */
export async function readPlayRows(
  db: Sequelize,
  program: number,
  filter: BookFilter,
  count: PlayCount,
  { skip, take }: { skip: number; take: number },
): Promise<{ plays: PlayRow[]; total: number }> {
  const { sql, values } = conditionOf(program, filter);
  const where = `${sql} and ${WHICH[count]}`;
  // Counted apart, so that no more of them are put in order than are shown.
  const counting = db.query<{ total: number }>(`select count(*)::int as total from book_snaps b where ${where}`, {
    type: QueryTypes.SELECT,
    replacements: values,
  });
  const finding = db.query<PlayRow>(
    `select b.snap_id as "snapId", b.number, b.game_id as "gameId", b.scheme, b.side, b.front, b.blocked,
       array(select m.blocker from book_grades m where m.snap_id = b.snap_id and m.both_kept is false order by m.blocker) as missed
     from book_snaps b where ${where} order by b.gain, b.game_id desc, b.number limit :take offset :skip`,
    { type: QueryTypes.SELECT, replacements: { ...values, skip, take } },
  );
  const [[counted], plays] = await Promise.all([counting, finding]);
  return { plays, total: counted!.total };
}
