import type { Transaction } from 'sequelize';
import { lineupAt, playerAt } from '#core/film/log/lineup';
import type { SnapView } from '#core/model/snap-view';
import { lineupOf } from '../db/mappers';
import { GameRow, PlayerRow } from '../db/models';
import type { Member } from '../session/member';

/** Who plays a place on a snap of a game, by its number. */
export async function fieldOf(
  { programId }: Member,
  gameId: number,
  transaction: Transaction,
): Promise<(seat: string, snap: number) => number | null> {
  const game = await GameRow.findOne({ where: { id: gameId, programId }, transaction });
  const players = await PlayerRow.findAll({ where: { programId }, transaction });
  const lineup = lineupOf(game!);
  return (seat, snap) => playerAt(lineup, players, seat, snap);
}

/** Who was on the field on a snap; a player sees only himself. */
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
  return [...lineupAt(lineupOf(game!), players, seats, snap)].flatMap(([seat, man]) =>
    role === 'player' && man.id !== playerId ? [] : [{ seat, name: man.name, number: man.number }],
  );
}
