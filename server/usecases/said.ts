import { Op } from 'sequelize';
import { playerAt } from '#core/film/log/lineup';
import { PROGRAM_SHEET } from '#core/model/grade';
import { database } from '../db/database';
import { gradedSnap, lineupOf } from '../db/mappers';
import { AcknowledgementRow, GameRow, GradeRow, PlayerRow, SnapRow } from '../db/models';
import type { Member } from '../session/member';
import { none } from './owned';

/** What a player said to his grades of a game. */
export interface Said {
  readonly id: number;
  readonly player: string;
  readonly snapId: number | null;
  readonly number: number | null;
  readonly question: string;
  readonly answer: string;
  readonly at: string;
}

/** What players of a program said to their grades, the newest first; or one of them. */
export async function saidTo(
  programId: number,
  where: { playerId?: number } = {},
): Promise<(Said & { gameId: number })[]> {
  const rows = await AcknowledgementRow.findAll({
    where: { programId, ...where },
    order: [['id', 'DESC']],
    limit: 500,
  });
  const [players, snaps] = await Promise.all([
    PlayerRow.findAll({ where: { programId, id: rows.map((r) => r.playerId) } }),
    SnapRow.findAll({ where: { programId, id: rows.flatMap((r) => r.snapId ?? []) }, attributes: ['id', 'number'] }),
  ]);
  return rows.map(({ id, gameId, playerId, snapId, question, answer, createdAt }) => {
    const man = players.find((p) => p.id === playerId);
    return {
      ...{ id, gameId, snapId, question, answer, at: createdAt.toISOString() },
      player: man ? `${man.number} ${man.name}` : 'a former player',
      number: snaps.find((s) => s.id === snapId)?.number ?? null,
    };
  });
}

/** A player says that he has seen his grades of a game, or asks about one of its snaps; only of published games, only for himself. */
export async function acknowledge(
  { programId, userId, playerId }: Member,
  gameId: number,
  { snapId, question }: { snapId: number | null; question: string },
): Promise<Said> {
  await database();
  const game = await GameRow.findOne({ where: { id: gameId, programId, published: true } });
  if (!game || playerId === null) throw none('game');
  if (snapId !== null) {
    const own = await GradeRow.findOne({ where: { programId, snapId, playerId, sheet: PROGRAM_SHEET } });
    const snap = await SnapRow.findOne({ where: { id: snapId, programId, gameId } });
    if (!own || !snap) throw none('snap');
  }
  const row = await AcknowledgementRow.create({ programId, gameId, snapId, playerId, userId, question });
  return (await saidTo(programId, { playerId })).find((s) => s.id === row.id)!;
}

/** What a player has said to his grades, and what was answered. */
export const ownSaid = async ({ programId, playerId }: Member): Promise<(Said & { gameId: number })[]> => {
  await database();
  return playerId === null ? [] : saidTo(programId, { playerId });
};

/** Answers what a player asked. */
export async function answerPlayer({ programId }: Member, id: number, answer: string): Promise<void> {
  await database();
  const [count] = await AcknowledgementRow.update({ answer }, { where: { id, programId } });
  if (count === 0) throw none('question');
}

/** A game as a player has it: published, or to be graded by himself first, with his own snaps of it. */
export interface OwnGame {
  readonly id: number;
  readonly opponent: string;
  readonly week: number;
  readonly published: boolean;
  /** His snaps, where he is to grade himself. */
  readonly snaps: readonly {
    readonly id: number;
    readonly number: number;
    readonly seat: string;
    readonly marked: boolean;
  }[];
}

/** The games that are open to a player, and what he has said to them. */
export async function readMine(member: Member): Promise<{ games: OwnGame[]; said: (Said & { gameId: number })[] }> {
  const { programId, playerId, userId } = member;
  await database();
  const games = await GameRow.findAll({
    where: { programId, [Op.or]: [{ published: true }, { ownGrades: true }] },
    order: [['week', 'DESC']],
  });
  const players = await PlayerRow.findAll({ where: { programId } });
  const own = await Promise.all(
    games.map(async (game): Promise<OwnGame> => {
      const { id, opponent, week, published } = game;
      if (published) return { id, opponent, week, published, snaps: [] };
      const snaps = await SnapRow.findAll({ where: { programId, gameId: id }, order: [['number', 'ASC']] });
      const marks = await GradeRow.findAll({ where: { programId, snapId: snaps.map((s) => s.id), sheet: userId } });
      const lineup = lineupOf(game);
      const his = snaps.flatMap((snap) => {
        const seats = gradedSnap(snap).resolution.assignments.map((a) => a.blocker);
        const seat = seats.find((s) => playerAt(lineup, players, s, snap.number) === playerId);
        if (seat === undefined || playerId === null) return [];
        return [{ id: snap.id, number: snap.number, seat, marked: marks.some((m) => m.snapId === snap.id) }];
      });
      return { id, opponent, week, published, snaps: his };
    }),
  );
  return { games: own, said: await ownSaid(member) };
}
