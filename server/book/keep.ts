import type { Transaction } from 'sequelize';
import { markedOf } from '#core/grade/book/marked';
import { playResultOf, snapColumns } from '#core/grade/book/play-result';
import { PROGRAM_SHEET } from '#core/model/grade';
import { SHIPPED_SETTINGS } from '#core/model/settings';
import { database } from '../db/database';
import { gradeAsked, gradeBody, programBody, snapBody } from '../db/mappers';
import { BookMarkRow, BookSnapRow, GameRow, GradeRow, ProgramRow, SnapRow } from '../db/models';

/**
 * Makes anew what the Book counts of these snaps, from the snaps and their grades. Whoever changes either calls it in the same transaction,
 * so that the Book never says what is no longer so.
 */
export async function keepInBook(snaps: readonly SnapRow[], transaction: Transaction): Promise<void> {
  if (snaps.length === 0) return;
  const snapId = snaps.map((s) => s.id);
  const [games, program] = [
    await GameRow.findAll({
      where: { id: [...new Set(snaps.map((s) => s.gameId))] },
      attributes: ['id', 'seasonId'],
      transaction,
    }),
    await ProgramRow.findByPk(snaps[0]!.programId, { transaction }),
  ];
  const grades = await GradeRow.findAll({ where: { snapId, sheet: PROGRAM_SHEET }, transaction });
  const { standardYards } = programBody(program!).settings ?? SHIPPED_SETTINGS;
  const season = new Map(games.map((g) => [g.id, g.seasonId]));
  const marks: Record<string, unknown>[] = [];
  const results: Record<string, unknown>[] = [];
  for (const snap of snaps) {
    const { id, programId, gameId, number } = snap;
    const place = { snapId: id, programId, gameId, number, seasonId: season.get(gameId)! };
    const body = snapBody(snap);
    const own = grades
      .filter((g) => g.snapId === id && g.asked !== null)
      .map((g) => ({ row: g, blocker: g.blocker, grade: gradeBody(g) }));
    for (const { row, blocker, grade } of own) {
      const marked = markedOf(body, blocker, gradeAsked(row), grade);
      if (marked) marks.push({ ...marked, ...place, gradeId: row.id, playerId: row.playerId });
    }
    const { gain, result } = body.situation;
    if (!body.logged.notCounted)
      results.push({ ...snapColumns(body), ...place, gain, result, ...playResultOf(body, own, standardYards) });
  }
  await BookMarkRow.destroy({ where: { snapId }, transaction });
  await BookSnapRow.destroy({ where: { snapId }, transaction });
  await BookMarkRow.bulkCreate(marks, { transaction });
  await BookSnapRow.bulkCreate(results, { transaction });
}

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
