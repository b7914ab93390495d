import { createError } from 'h3';
import type { Transaction } from 'sequelize';
import { lineupAt, playerAt } from '#core/film/log/lineup';
import type { SnapView } from '#core/model/snap-view';
import { lineupOf } from '../db/mappers';
import { GameRow, PlayerRow } from '../db/models';
import type { Member } from '../session/member';

/** Why nobody is marked in a game of an opponent's. */
export const NOT_GRADED = 'It is a game of theirs: neither line of it is graded.';

/** Who plays a place on a snap of a game of ours, by its number. */
export async function fieldOf(
  { programId }: Member,
  gameId: number,
  transaction: Transaction,
): Promise<(seat: string, snap: number) => number | null> {
  const game = await GameRow.findOne({ where: { id: gameId, programId }, transaction });
  if (game!.theirs) throw createError({ statusCode: 409, message: `${NOT_GRADED} Nothing was changed.` });
  const players = await PlayerRow.findAll({ where: { programId }, transaction });
  const lineup = lineupOf(game!);
  return (seat, snap) => playerAt(lineup, players, seat, snap);
}

/** Who of ours was on the field on a snap; a player sees only himself. */
export async function menOnField(
  { programId, role, playerId }: Member,
  gameId: number,
  snap: number,
  seats: readonly string[],
): Promise<SnapView['field']> {
  const [game, players] = await Promise.all([
    GameRow.findOne({ where: { id: gameId, programId } }),
    PlayerRow.findAll({ where: { programId } }),
  ]);
  if (game!.theirs) return [];
  return [...lineupAt(lineupOf(game!), players, seats, snap)].flatMap(([seat, man]) =>
    role === 'player' && man.id !== playerId ? [] : [{ seat, name: man.name, number: man.number }],
  );
}
