import type { GradeRecord } from '#core/grade/record';
import { PROGRAM_SHEET } from '#core/model/grade';
import { database } from '../db/database';
import { gradeAsked, gradeBody, gradedSnap } from '../db/mappers';
import { GameRow, GradeRow, PlayerRow, SeasonRow, SnapRow, UserRow } from '../db/models';
import type { Member } from '../session/member';

/** Grades with everything that is needed to read them elsewhere, the oldest first, a page at a time; of one game or of all. */
export async function listRecords(
  { programId }: Member,
  { game, skip, take }: { game: number | null; skip: number; take: number },
): Promise<{ records: GradeRecord[]; total: number }> {
  await database();
  const games = await GameRow.findAll({ where: { programId, ...(game === null ? {} : { id: game }) } });
  const snapIds = { programId, gameId: games.map((g) => g.id) };
  const snaps = await SnapRow.findAll({ where: snapIds, attributes: ['id', 'number', 'gameId'] });
  const where = { programId, snapId: snaps.map((s) => s.id) };
  const [total, grades] = await Promise.all([
    GradeRow.count({ where }),
    GradeRow.findAll({ where, order: [['id', 'ASC']], offset: skip, limit: take }),
  ]);
  const bodies = new Map(
    (await SnapRow.findAll({ where: { programId, id: [...new Set(grades.map((g) => g.snapId))] } })).map((row) => [
      row.id,
      { row, body: gradedSnap(row) },
    ]),
  );
  const [players, users, seasons] = await Promise.all([
    PlayerRow.findAll({ where: { programId } }),
    UserRow.findAll({ where: { id: grades.map((g) => g.sheet).filter((s) => s !== PROGRAM_SHEET) } }),
    SeasonRow.findAll({ where: { programId } }),
  ]);
  const records = grades
    .filter((g) => g.asked !== null)
    .map((g): GradeRecord => {
      const { row, body } = bodies.get(g.snapId)!;
      const at = games.find((x) => x.id === row.gameId)!;
      const man = players.find((p) => p.id === g.playerId);
      return {
        season: seasons.find((s) => s.id === at.seasonId)?.name ?? '',
        ...{ week: at.week, opponent: at.opponent, snap: row.number, place: g.blocker },
        ...{ player: man?.name ?? '', number: man?.number ?? null },
        ...{ play: body.call.scheme, side: body.call.side, front: body.call.frontName },
        asked: gradeAsked(g),
        grade: gradeBody(g),
        reading: g.sheet === PROGRAM_SHEET ? 'grade' : (users.find((u) => u.id === g.sheet)?.name ?? 'a former user'),
        at: g.changedAt.toISOString(),
      };
    });
  return { records, total };
}
