import { createError } from 'h3';
import type { Transaction } from 'sequelize';
import { GradeChangeRow, GradeRow, PlayerRow, SnapRow, UserRow } from '../db/models';
import { database } from '../db/database';
import { gradeBody, snapBody } from '../db/mappers';
import type { Member } from '../session/member';
import { ownSnap } from './owned';
import { fieldOf } from './field';
import type { MarkRow } from '#core/grade/book';
import type { Grade } from '#core/model/grade';

export interface GradeEntry {
  blocker: string;
  grade: Grade | null;
}

/**
 * Writes marks of one snap, all or none, and keeps what each was before, with who and when. `null` takes a mark away.
 * A blocker who has no assignment on this snap is refused.
 */
export async function writeGrades(member: Member, snapId: number, entries: readonly GradeEntry[]): Promise<void> {
  const sequelize = await database();
  const snap = await ownSnap(member, snapId);
  const { gameId, number } = snap;
  const { resolution } = snapBody(snap);
  const asked = new Set(resolution.assignments.map((a) => a.blocker));
  const stranger = entries.find((e) => !asked.has(e.blocker));
  if (stranger)
    throw createError({
      statusCode: 400,
      message: `blocker: ${stranger.blocker} has no assignment on this snap. Nothing was changed.`,
    });
  await sequelize.transaction(async (transaction) => {
    // One grader at a time on a snap, so that every change is recorded against what it really replaced.
    await SnapRow.findOne({
      where: { id: snapId, programId: member.programId },
      lock: transaction.LOCK.UPDATE,
      transaction,
    });
    const on = await fieldOf(member, gameId, transaction);
    for (const entry of entries) await writeOne(member, snapId, entry, on(entry.blocker, number), transaction);
  });
}

async function writeOne(
  member: Member,
  snapId: number,
  { blocker, grade }: GradeEntry,
  playerId: number | null,
  transaction: Transaction,
): Promise<void> {
  const where = { programId: member.programId, snapId, blocker };
  const row = await GradeRow.findOne({ where, transaction });
  const before = row ? gradeBody(row) : null;
  if (JSON.stringify(before) === JSON.stringify(grade)) return;
  if (grade === null) await row?.destroy({ transaction });
  else if (row) await row.update({ body: grade }, { transaction });
  else await GradeRow.create({ ...where, playerId, body: grade }, { transaction });
  await GradeChangeRow.create({ ...where, userId: member.userId, before, after: grade }, { transaction });
}

export interface GradeChange {
  blocker: string;
  by: string;
  at: string;
  before: Grade | null;
  after: Grade | null;
}

/** Every change of the marks of a snap, newest first. */
export async function gradeHistory(member: Member, snapId: number): Promise<GradeChange[]> {
  await ownSnap(member, snapId);
  const rows = await GradeChangeRow.findAll({
    where: { programId: member.programId, snapId },
    order: [['id', 'DESC']],
  });
  const users = await UserRow.findAll({ where: { id: rows.map((r) => r.userId) } });
  return rows.map((r) => ({
    blocker: r.blocker,
    by: users.find((u) => u.id === r.userId)?.name ?? 'a former user',
    at: r.createdAt.toISOString(),
    before: r.before as Grade | null,
    after: r.after as Grade | null,
  }));
}

/** Every mark of the program, or a player's own marks of published games. */
export async function readMarks(member: Member, publishedGames: readonly number[]): Promise<MarkRow[]> {
  const own = member.role === 'player' ? { playerId: member.playerId ?? 0 } : {};
  const grades = await GradeRow.findAll({ where: { programId: member.programId, ...own } });
  const [snaps, players] = await Promise.all([
    SnapRow.findAll({ where: { programId: member.programId, id: [...new Set(grades.map((g) => g.snapId))] } }),
    PlayerRow.findAll({ where: { programId: member.programId } }),
  ]);
  const bodies = new Map(snaps.map((s) => [s.id, { row: s, body: snapBody(s) }]));
  return grades
    .flatMap((g) => {
      const { row, body } = bodies.get(g.snapId)!;
      if (member.role === 'player' && !publishedGames.includes(row.gameId)) return [];
      if (body.logged.notCounted) return [];
      const player = players.find((p) => p.id === g.playerId);
      const assignment = body.resolution.assignments.find((a) => a.blocker === g.blocker);
      return [
        {
          snapId: row.id,
          snapNumber: row.number,
          gameId: row.gameId,
          blocker: g.blocker,
          playerId: g.playerId,
          playerName: player?.name ?? g.blocker,
          playerNumber: player?.number ?? null,
          scheme: body.call.scheme,
          side: body.call.side,
          block: assignment?.block ?? 'none',
          front: body.call.frontName,
          grade: gradeBody(g),
        },
      ];
    })
    .sort((a, b) => a.snapNumber - b.snapNumber || (a.blocker < b.blocker ? -1 : 1));
}
