import { createError } from 'h3';
import { playerAt, type Lineup } from '#core/film/log/lineup';
import { database } from '../db/database';
import { lineupOf } from '../db/mappers';
import { GradeRow, PlayerRow, SnapRow } from '../db/models';
import type { Member } from '../session/member';
import { ownGame } from './owned';
import { lockGame } from './films';

export interface LineupView {
  readonly revision: number;
  readonly lineup: Lineup;
}

/** Who was on the field in a game, as changes from the roster. */
export async function readLineup(member: Member, gameId: number): Promise<LineupView> {
  const game = await ownGame(member, gameId);
  return { revision: game.lineupRevision, lineup: lineupOf(game) };
}

export interface LineupSaved {
  readonly saved: boolean;
  readonly revision: number;
  /** Grades that are another man's by it, by snap and place. */
  readonly moved: readonly { readonly number: number; readonly blocker: string }[];
}

/**
 * Keeps who was on the field. Grades already given are the man's who was there: when some would become another man's, nothing is written
 * until somebody says `confirmed`. 409 when the line-up was changed since the revision given.
 */
export async function saveLineup(
  member: Member,
  gameId: number,
  { revision, lineup, confirmed }: { revision: number; lineup: Lineup; confirmed: boolean },
): Promise<LineupSaved> {
  const { programId } = member;
  await ownGame(member, gameId);
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    const game = (await lockGame(gameId, transaction))!;
    if (game.lineupRevision !== revision)
      throw createError({
        statusCode: 409,
        message: 'Somebody else has changed who was on the field meanwhile. Open it again; yours was not written.',
      });
    const players = await PlayerRow.findAll({ where: { programId }, transaction });
    refuseStrangers(lineup, players);
    const snaps = await SnapRow.findAll({ where: { programId, gameId }, attributes: ['id', 'number'], transaction });
    const grades = await GradeRow.findAll({
      where: { programId, snapId: snaps.map((s) => s.id) },
      lock: transaction.LOCK.UPDATE,
      transaction,
    });
    const moved = grades.flatMap((grade) => {
      const { number } = snaps.find((s) => s.id === grade.snapId)!;
      const playerId = playerAt(lineup, players, grade.blocker, number);
      return playerId === grade.playerId ? [] : [{ grade, number, playerId }];
    });
    const told = moved.map(({ grade, number }) => ({ number, blocker: grade.blocker }));
    if (moved.length > 0 && !confirmed) return { saved: false, revision, moved: told };
    for (const { grade, playerId } of moved) await grade.update({ playerId }, { transaction });
    await game.update({ lineup: { ...lineup }, lineupRevision: revision + 1 }, { transaction });
    return { saved: true, revision: revision + 1, moved: told };
  });
}

function refuseStrangers({ seats, jerseys }: Lineup, players: readonly PlayerRow[]): void {
  const named = [...seats.map((c) => c.playerId), ...jerseys.map((c) => c.playerId)];
  const stranger = named.find((id) => id !== null && !players.some((p) => p.id === id));
  if (stranger !== undefined)
    throw createError({
      statusCode: 400,
      message: `playerId: nobody on the roster is ${stranger}. Nothing was changed.`,
    });
}
