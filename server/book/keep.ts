import { QueryTypes, type Transaction } from 'sequelize';
import { markedOf } from '#core/grade/book/marked';
import { playResultOf, snapColumns } from '#core/grade/book/play-result';
import type { GradedSnap } from '#core/model/snap-body';
import { PROGRAM_SHEET } from '#core/model/grade';
import { ProgramBodySchema } from '#core/model/program';
import { SHIPPED_SETTINGS } from '#core/model/settings';
import type { Standard } from '#core/model/standard';
import { database } from '../db/database';
import { gradeAsked, gradeBody, gradedSnap } from '../db/mappers';
import { BookMarkRow, BookSnapRow, GradeRow, SnapRow } from '../db/models';

/** What of the games and the program of snaps the Book needs. */
interface Around {
  readonly season: ReadonlyMap<number, number>;
  readonly standard: Standard;
}

async function around(snaps: readonly SnapRow[], transaction: Transaction): Promise<Around> {
  const sequelize = await database();
  const games = [...new Set(snaps.map((s) => s.gameId))];
  const rows = await sequelize.query<{ id: number; seasonId: number; settings: unknown }>(
    `select g.id, g.season_id as "seasonId", p.body->'settings' as settings from games g join programs p on p.id = g.program_id where g.id in (:games)`,
    { type: QueryTypes.SELECT, replacements: { games }, transaction },
  );
  const { settings = SHIPPED_SETTINGS } = ProgramBodySchema.parse({ settings: rows[0]?.settings ?? undefined });
  return { season: new Map(rows.map((r) => [r.id, r.seasonId])), standard: settings };
}

/** A snap and its grades as the Book counts them. */
function counted(snap: SnapRow, body: GradedSnap, grades: readonly GradeRow[], { season, standard }: Around) {
  const { id, programId, gameId, number } = snap;
  const place = { snapId: id, programId, gameId, number, seasonId: season.get(gameId)! };
  const own = grades
    .filter((g) => g.asked !== null)
    .map((row) => ({ row, blocker: row.blocker, grade: gradeBody(row) }));
  const marks = own.flatMap(({ row, blocker, grade }) => {
    const marked = markedOf(body, blocker, gradeAsked(row), grade);
    return marked ? [{ ...marked, ...place, gradeId: row.id, playerId: row.playerId }] : [];
  });
  const { gain, result } = body.situation;
  const results = body.logged.notCounted
    ? []
    : [{ ...snapColumns(body), ...place, gain, result, ...playResultOf(body, own, standard) }];
  return { marks, results };
}

/**
 * Makes anew what the Book counts of these snaps, from the snaps and their grades. Whoever changes either calls it in the same transaction,
 * so that the Book never says what is no longer so.
 */
export async function keepInBook(snaps: readonly SnapRow[], transaction: Transaction): Promise<void> {
  if (snaps.length === 0) return;
  const snapId = snaps.map((s) => s.id);
  const beside = await around(snaps, transaction);
  const grades = await GradeRow.findAll({ where: { snapId, sheet: PROGRAM_SHEET }, transaction });
  const all = snaps.map((snap) =>
    counted(
      snap,
      gradedSnap(snap),
      grades.filter((g) => g.snapId === snap.id),
      beside,
    ),
  );
  await BookMarkRow.destroy({ where: { snapId }, transaction });
  await BookSnapRow.destroy({ where: { snapId }, transaction });
  await BookMarkRow.bulkCreate(
    all.flatMap((a) => a.marks),
    { transaction },
  );
  await BookSnapRow.bulkCreate(
    all.flatMap((a) => a.results),
    { transaction },
  );
}

/** The same for one snap whose grades are at hand, all of them; those that were taken away have left the Book with their row. */
export async function keepSnapInBook(
  snap: SnapRow,
  body: GradedSnap,
  grades: readonly GradeRow[],
  transaction: Transaction,
): Promise<void> {
  const { marks, results } = counted(snap, body, grades, await around([snap], transaction));
  const left = marks.map((m) => m.gradeId);
  if (left.length < grades.length)
    await BookMarkRow.destroy({
      where: { gradeId: grades.map((g) => g.id).filter((id) => !left.includes(id)) },
      transaction,
    });
  await BookMarkRow.bulkCreate(marks, { updateOnDuplicate: MARK_COLUMNS, transaction });
  await BookSnapRow.bulkCreate(results, { updateOnDuplicate: ['blocked', 'pressured'], transaction });
}
/** What of a mark in the Book can change while it is the same man's on the same snap. */
const MARK_COLUMNS = [
  ...['block', 'target', 'pair', 'help', 'rubric', 'assignment', 'technique', 'finish', 'bothKept', 'outcome', 'film'],
  ...['earned', 'possible', 'faults', 'facts', 'consequence', 'phasesDone', 'phasesNot'],
] as never[];

/** Snaps that are worked through at once. */
const AT_ONCE = 200;

/** Puts into the Book what an older build or a restored copy has not: every snap that is not in it and counts. */
export async function fillBook(): Promise<void> {
  const sequelize = await database();
  for (;;) {
    const done = await sequelize.transaction(async (transaction) => {
      const [found] = await sequelize.query(
        `select s.id from snaps s left join book_snaps b on b.snap_id = s.id
         where b.snap_id is null and jsonb_exists(s.body, 'call') and coalesce(s.body->'logged'->>'notCounted', '') = '' order by s.id limit ${AT_ONCE} for update of s skip locked`,
        { transaction },
      );
      const ids = (found as { id: number }[]).map((row) => row.id);
      const rows = await SnapRow.findAll({ where: { id: ids }, transaction });
      // One program at a time, as each has its own standard.
      for (const programId of new Set(rows.map((r) => r.programId)))
        await keepInBook(
          rows.filter((r) => r.programId === programId),
          transaction,
        );
      return ids.length;
    });
    if (done < AT_ONCE) return;
  }
}

/** Takes out what the Book says of a program's plays, to be counted anew by another standard. */
export async function forgetResults(programId: number, transaction: Transaction): Promise<void> {
  await BookSnapRow.destroy({ where: { programId }, transaction });
}
