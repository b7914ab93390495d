import { createError } from 'h3';
import { Op, type Transaction } from 'sequelize';
import { playerAt, type Lineup, type Rostered } from '#core/film/log/lineup';
import { placesOf, type NewPlayer, type Player } from '#core/roster/player';
import { audit } from '../audit';
import { database } from '../db/database';
import { lineupOf } from '../db/mappers';
import { GameRow, PlayerRow, ProgramRow, SnapRow } from '../db/models';
import type { Member } from '../session/member';
import { none } from './owned';

/** More men than any team has. */
const MOST = 200;

const view = ({ id, name, number, seat, seats, defence, weight, leftAt }: PlayerRow): Player => ({
  ...{ id, name, number, seat, seats, defence, weight: weight ?? null },
  left: leftAt !== null && leftAt !== undefined,
});

/** The program's roster by jersey number, whoever has left last; a player sees only himself. */
export async function roster({ programId, role, playerId }: Member): Promise<Player[]> {
  await database();
  const own = role === 'player' ? { id: playerId ?? 0 } : {};
  const rows = await PlayerRow.findAll({
    where: { programId, erasedAt: null, ...own },
    order: [
      ['number', 'ASC'],
      ['id', 'ASC'],
    ],
  });
  return rows.map(view).sort((a, b) => Number(a.left) - Number(b.left));
}

/**
 * Adds men, all or none; one who is there already by number and name is refused with his place in the list. Who plays a place already goes on
 * playing it: a new man for it can play there.
 */
export async function addPlayers(member: Member, players: readonly NewPlayer[]): Promise<{ added: number }> {
  const { programId } = member;
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    const men = await lockRoster(programId, transaction);
    const there = men.filter((p) => !p.erasedAt && !p.leftAt);
    if (there.length + players.length > MOST)
      throw createError({ statusCode: 400, message: `A roster has at most ${MOST} men. Nothing was changed.` });
    const taken = new Set(there.map((p) => p.seat));
    const rows = players.map((p, i) => {
      if (there.some((o) => o.number === p.number && o.name === p.name))
        throw createError({
          statusCode: 409,
          message: `players.${i}: ${p.number} ${p.name} is on the roster already. Nothing was changed.`,
        });
      const seat = taken.has(p.seat) ? '' : p.seat;
      taken.add(seat);
      return { programId, ...p, seat, seats: placesOf(p).filter((s) => s !== seat) };
    });
    const newSeats = rows.map((r) => r.seat).filter(Boolean);
    await keepPlayedGames(programId, { men, seats: newSeats, numbers: [] }, transaction);
    await PlayerRow.bulkCreate(rows, { transaction });
    if (rows.length) await audit(member, 'roster changed', `${rows.length} more`, transaction);
    return { added: rows.length };
  });
}

/** The roster of a program is changed by one at a time. */
async function lockRoster(programId: number, transaction: Transaction): Promise<PlayerRow[]> {
  await ProgramRow.findByPk(programId, { lock: transaction.LOCK.UPDATE, transaction });
  return PlayerRow.findAll({ where: { programId }, order: [['id', 'ASC']], transaction });
}

/**
 * Changes a man of the roster; whoever played his new place before can still play there. Games that were played keep who played where and with
 * which number: what the roster said until now is written into their line-ups.
 */
export async function changePlayer(member: Member, id: number, after: NewPlayer & { left: boolean }): Promise<Player> {
  const { programId } = member;
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    const men = await lockRoster(programId, transaction);
    const row = men.find((p) => p.id === id && !p.erasedAt);
    if (!row) throw none('player');
    const seat = after.left ? '' : after.seat;
    const moved = seat === row.seat ? [] : [row.seat, seat].filter(Boolean);
    const numbers = after.number === row.number ? [] : [row];
    await keepPlayedGames(programId, { men, seats: moved, numbers }, transaction);
    const before = seat ? men.find((p) => p.seat === seat && p.id !== id) : undefined;
    if (before) await before.update({ seat: '', seats: placesOf(before) }, { transaction });
    const wasGone = Boolean(row.leftAt);
    const leftAt = after.left ? (row.leftAt ?? new Date()) : null;
    const seats = placesOf(after).filter((s) => s !== seat);
    const { name, number, defence, weight } = after;
    await row.update({ name, number, defence, weight, seat, seats, leftAt }, { transaction });
    const what = wasGone === after.left ? 'roster changed' : after.left ? 'left' : 'came back';
    await audit(member, what, `${number} ${name}`, transaction);
    return view(row);
  });
}

/** What played games took from the roster, and is now to change there. */
interface Until {
  readonly men: readonly Rostered[];
  readonly seats: readonly string[];
  readonly numbers: readonly Rostered[];
}

async function keepPlayedGames(programId: number, until: Until, transaction: Transaction): Promise<void> {
  if (until.seats.length + until.numbers.length === 0) return;
  const played = await SnapRow.findAll({
    where: { programId },
    attributes: ['gameId'],
    group: ['gameId'],
    transaction,
  });
  const games = await GameRow.findAll({
    where: { programId, id: { [Op.in]: played.map((s) => s.gameId) } },
    order: [['id', 'ASC']],
    lock: transaction.LOCK.UPDATE,
    transaction,
  });
  for (const game of games) {
    const lineup = asItWas(lineupOf(game), until);
    await game.update({ lineup: { ...lineup }, lineupRevision: game.lineupRevision + 1 }, { transaction });
  }
}

/**
 * A line-up that says itself, from its first snap on, what it took from the roster until now: of every place who played it between any two of
 * its changes, as a man who moved elsewhere had left it.
 */
export function asItWas(lineup: Lineup, { men, seats, numbers }: Until): Lineup {
  const points = [...new Set([1, ...lineup.seats.map((c) => c.from)])].sort((a, b) => a - b);
  const written = seats.flatMap((seat) => {
    const played = points.map((from) => ({ from, seat, playerId: playerAt(lineup, men, seat, from) }));
    return played.filter((c, i) => i === 0 || c.playerId !== played[i - 1]!.playerId);
  });
  const told = (id: number): boolean => lineup.jerseys.some((c) => c.playerId === id && c.from === 1);
  const worn = numbers.filter((p) => !told(p.id)).map(({ id, number }) => ({ from: 1, playerId: id, number }));
  const others = lineup.seats.filter((c) => !seats.includes(c.seat));
  return { seats: [...others, ...written], jerseys: [...lineup.jerseys, ...worn] };
}
