import { createError } from 'h3';
import type { Transaction } from 'sequelize';
import type { GameItem } from '#core/model/game';
import type { NewGame, Schedule, Scheduled } from '#core/model/schedule';
import { audit } from '../audit';
import { database } from '../db/database';
import { FilmRow, GameRow, ProgramRow, SeasonRow, SnapRow } from '../db/models';
import type { Member } from '../session/member';
import { none } from './owned';
import { NOT_GRADED } from './field';
import { newestSeason } from './seasons';

/** Games of the program, season by season; a player sees those whose grades were published. */
export async function listGames(member: Member): Promise<GameItem[]> {
  const { programId } = member;
  const newest = await newestSeason(member);
  const [games, seasons] = await Promise.all([
    GameRow.findAll({
      where: { programId, ...(member.role === 'player' ? { published: true } : {}) },
      order: [
        ['seasonId', 'ASC'],
        ['week', 'ASC'],
        ['id', 'ASC'],
      ],
    }),
    SeasonRow.findAll({ where: { programId } }),
  ]);
  const snaps = await snapsOf(programId);
  return games.map(({ id, opponent, week, published, seasonId, playedOn, theirs }) => ({
    ...{ id, opponent, week, published, snaps: snaps.get(id) ?? 0 },
    ...(playedOn ? { playedOn } : {}),
    ...(theirs ? { theirs } : {}),
    ...(seasonId === newest.id ? {} : { season: seasons.find((s) => s.id === seasonId)!.name }),
  }));
}

/** How many snaps every game has that has any. */
async function snapsOf(programId: number): Promise<Map<number, number>> {
  const counted = await SnapRow.count({ where: { programId }, group: ['gameId'] });
  return new Map(counted.map((c) => [c.gameId as number, c.count]));
}

/** The seasons, and the games of ours in the one played now. */
export async function readSchedule(member: Member): Promise<Schedule> {
  const { programId } = member;
  const newest = await newestSeason(member);
  const [seasons, games, films] = await Promise.all([
    SeasonRow.findAll({ where: { programId }, order: [['id', 'DESC']] }),
    GameRow.findAll({ where: { programId, theirs: null }, order: [['week', 'ASC']] }),
    FilmRow.count({ where: { programId }, group: ['gameId'] }),
  ]);
  const snaps = await snapsOf(programId);
  const filmed = new Map(films.map((f) => [f.gameId as number, f.count]));
  return {
    seasons: seasons.map(({ id, name }) => ({ id, name, games: games.filter((g) => g.seasonId === id).length })),
    games: games
      .filter((g) => g.seasonId === newest.id)
      .map(({ id, opponent, week, playedOn }) => ({
        ...{ id, opponent, week, playedOn: playedOn ?? null },
        ...{ snaps: snaps.get(id) ?? 0, films: filmed.get(id) ?? 0 },
      })),
  };
}

/** Adds a game, of ours or of an opponent's, to the newest season. */
export async function addGame(
  member: Member,
  game: Pick<NewGame, 'opponent' | 'week'> & Partial<NewGame>,
): Promise<GameItem> {
  const { programId } = member;
  const season = await newestSeason(member);
  const row = await GameRow.create({ programId, seasonId: season.id, published: false, ...game });
  const { opponent, week, theirs } = game;
  return { id: row.id, opponent, week, published: false, snaps: 0, ...(theirs ? { theirs } : {}) };
}

/** Says another opponent, week or day of a game. */
export async function changeGame({ programId }: Member, id: number, change: Scheduled): Promise<void> {
  await database();
  const [count] = await GameRow.update(change, { where: { id, programId } });
  if (count === 0) throw none('game');
}

/** Takes a game out of the schedule; one with snaps or film stays. */
export async function removeGame({ programId }: Member, id: number): Promise<void> {
  const sequelize = await database();
  await sequelize.transaction(async (transaction) => {
    const game = await GameRow.findOne({ where: { id, programId }, lock: transaction.LOCK.UPDATE, transaction });
    if (!game) throw none('game');
    const where = { programId, gameId: id };
    const held = (await SnapRow.count({ where, transaction })) + (await FilmRow.count({ where, transaction }));
    if (held > 0)
      throw createError({ statusCode: 409, message: 'This game has snaps or film and stays. Nothing was changed.' });
    await game.destroy({ transaction });
  });
}

/** Opens a game's grades to its players, or closes them again. */
export async function publishGame(member: Member, id: number, published: boolean): Promise<void> {
  const { programId } = member;
  const sequelize = await database();
  await sequelize.transaction(async (transaction) => {
    const game = await GameRow.findOne({ where: { id, programId }, lock: transaction.LOCK.UPDATE, transaction });
    if (!game) throw none('game');
    if (game.theirs) throw createError({ statusCode: 409, message: `${NOT_GRADED} Nothing was changed.` });
    if (game.published === published) return;
    await game.update({ published }, { transaction });
    await audit(member, published ? 'published' : 'unpublished', `week ${game.week}, ${game.opponent}`, transaction);
  });
}

/**
 * Begins the next season: the playbook, the roster and the way of grading stay, games and grades of the season before are kept as they are.
 */
export async function beginSeason(member: Member, name: string): Promise<Schedule> {
  const { programId } = member;
  const sequelize = await database();
  await sequelize.transaction(async (transaction) => {
    await ProgramRow.findByPk(programId, { lock: transaction.LOCK.UPDATE, transaction });
    await refuseTwin(programId, name, transaction);
    const before = await SeasonRow.findOne({ where: { programId }, order: [['id', 'DESC']], transaction });
    const kept = before ? { rubric: before.rubric, passLine: before.passLine } : {};
    await SeasonRow.create({ programId, name, ...kept }, { transaction });
    await audit(member, 'season begun', name, transaction);
  });
  return readSchedule(member);
}

async function refuseTwin(programId: number, name: string, transaction: Transaction): Promise<void> {
  if (await SeasonRow.findOne({ where: { programId, name }, transaction }))
    throw createError({ statusCode: 409, message: `There is a season "${name}" already. Nothing was changed.` });
}
