import { FIRST_SNAP, situationAfter } from '#core/film/log/series';
import type { Call } from '#core/model/snap';
import { database } from '../db/database';
import { snapBody } from '../db/mappers';
import { SnapRow } from '../db/models';
import type { Member } from '../session/member';
import { ownGame } from './owned';
import { lockGame, showSnaps } from './films';
import { waysOf, workOut } from './work-out';

/**
 * Adds snaps to a game by their numbers, those that are there already stay as they are: all called alike, each in the situation that follows
 * from the one before. Films of the game whose names say one of the numbers are shown with it.
 */
export async function addSnaps(
  member: Member,
  gameId: number,
  numbers: readonly number[],
  call: Call,
): Promise<{ added: number[]; first: number | null }> {
  const { programId } = member;
  await ownGame(member, gameId);
  const resolution = workOut(call, await waysOf(member));
  const sequelize = await database();
  const made = await sequelize.transaction(async (transaction) => {
    await lockGame(gameId, transaction);
    const there = await SnapRow.findAll({ where: { programId, gameId }, order: [['number', 'ASC']], transaction });
    const rows: SnapRow[] = [];
    for (const number of [...new Set(numbers)].sort((a, b) => a - b)) {
      if (there.some((s) => s.number === number)) continue;
      const before = [...there, ...rows].filter((s) => s.number < number).sort((a, b) => b.number - a.number)[0];
      const situation = before ? situationAfter(snapBody(before).situation) : FIRST_SNAP;
      const body = { call, situation, resolution };
      rows.push(await SnapRow.create({ programId, gameId, number, body }, { transaction }));
    }
    await showSnaps(programId, gameId, transaction);
    return rows;
  });
  return { added: made.map((s) => s.number), first: made[0]?.id ?? null };
}
