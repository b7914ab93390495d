import type { Call, Situation } from '#core/model/snap';
import { database } from '../db/database';
import { snapBody } from '../db/mappers';
import { FilmRow, SnapRow } from '../db/models';
import type { Member } from '../session/member';
import { ownGame } from './film';
import { showSnap } from './films';
import { waysOf, workOut } from './work-out';

const FIRST_DOWN: Situation = { quarter: 1, down: 1, distance: 10, hash: 'middle', gain: 0 };

/** What the next snap is, from the last one and what it gained: the series goes on, or a new one begins. */
function situationAfter(last: Situation | null): Situation {
  if (!last) return FIRST_DOWN;
  const left = last.distance - last.gain;
  const { quarter, hash } = last;
  if (left <= 0 || last.down === 4) return { ...FIRST_DOWN, quarter, hash };
  return { quarter, hash, down: last.down + 1, distance: Math.min(99, left), gain: 0 };
}

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
    const there = await SnapRow.findAll({ where: { programId, gameId }, order: [['number', 'ASC']], transaction });
    const rows: SnapRow[] = [];
    for (const number of [...new Set(numbers)].sort((a, b) => a - b)) {
      if (there.some((s) => s.number === number)) continue;
      const before = [...there, ...rows].filter((s) => s.number < number).sort((a, b) => b.number - a.number)[0];
      const situation = situationAfter(before ? snapBody(before).situation : null);
      const body = { call, situation, resolution };
      rows.push(await SnapRow.create({ programId, gameId, number, body }, { transaction }));
    }
    return rows;
  });
  const films = await FilmRow.findAll({ where: { programId, gameId, state: 'ready' }, attributes: ['id'] });
  for (const { id } of films) await showSnap(id);
  return { added: made.map((s) => s.number), first: made[0]?.id ?? null };
}
