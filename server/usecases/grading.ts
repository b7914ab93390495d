import { createError } from 'h3';
import { Op, QueryTypes } from 'sequelize';
import type { TwoMarks } from '#core/grade/agreement/agreement';
import { findRubric } from '#core/grade/rubrics/index';
import { PROGRAM_SHEET } from '#core/model/grade';
import { database } from '../db/database';
import { playerAt } from '#core/film/log/lineup';
import { gradeAsked, gradeBody, gradedSnap, lineupOf } from '../db/mappers';
import { AcknowledgementRow, GameRow, GradeRow, PlayerRow, SeasonRow, SnapRow } from '../db/models';
import type { Member } from '../session/member';
import { none, ownGame } from './owned';

export interface SeasonView {
  readonly id: number;
  readonly name: string;
  readonly rubric: string;
  /** The coach's own pass line, 0 to 1; `null`: the rubric's. */
  readonly passLine: number | null;
  /** How many seasons there are beside it. */
  readonly others: number;
}

async function newestSeason({ programId }: Member): Promise<SeasonRow> {
  await database();
  const row = await SeasonRow.findOne({ where: { programId }, order: [['id', 'DESC']] });
  return row ?? SeasonRow.create({ programId, name: 'Season' });
}
const seasonView = async ({ id, programId, name, rubric, passLine }: SeasonRow): Promise<SeasonView> => ({
  id,
  name,
  rubric,
  passLine: passLine ?? null,
  others: (await SeasonRow.count({ where: { programId } })) - 1,
});

/** With what this season's snaps are graded. */
export const readSeason = async (member: Member): Promise<SeasonView> =>
  seasonView(await newestSeason(member).then((s) => s.reload()));

/** Chooses a rubric or a pass line for what is graded from now on; grades given before keep theirs. */
export async function changeSeason(
  member: Member,
  change: { rubric?: string | undefined; passLine?: number | null | undefined },
): Promise<SeasonView> {
  if (change.rubric !== undefined && !findRubric(change.rubric))
    throw createError({
      statusCode: 400,
      message: `rubric: there is no rubric "${change.rubric}". Nothing was changed.`,
    });
  const row = await newestSeason(member);
  await row.update(change);
  return seasonView(await row.reload());
}

export interface GradedGame {
  readonly id: number;
  readonly opponent: string;
  readonly week: number;
  readonly published: boolean;
  readonly ownGrades: boolean;
  readonly snaps: number;
  readonly marks: number;
  /** Readings of others beside the program's marks, and how many marks they hold. */
  readonly sheets: readonly { readonly userId: number; readonly name: string; readonly marks: number }[];
  readonly said: readonly Said[];
}
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

/** Every game with how far it is graded, by whom, and what players said to it. */
export async function listGradedGames({ programId }: Member): Promise<GradedGame[]> {
  const sequelize = await database();
  const [games, counts, sheets, said] = await Promise.all([
    GameRow.findAll({ where: { programId }, order: [['week', 'ASC']] }),
    sequelize.query<{ gameId: number; snaps: number }>(
      'select game_id as "gameId", count(*)::int as snaps from snaps where program_id = :programId group by 1',
      { type: QueryTypes.SELECT, replacements: { programId } },
    ),
    sequelize.query<{ gameId: number; sheet: number; name: string | null; marks: number }>(
      `select s.game_id as "gameId", g.sheet, u.name, count(*)::int as marks from grades g join snaps s on s.id = g.snap_id
       left join users u on u.id = g.sheet where g.program_id = :programId group by 1, 2, 3 order by 3`,
      { type: QueryTypes.SELECT, replacements: { programId } },
    ),
    saidTo(programId),
  ]);
  return games.map(({ id, opponent, week, published, ownGrades }) => {
    const own = sheets.filter((s) => s.gameId === id);
    return {
      ...{ id, opponent, week, published, ownGrades: ownGrades ?? false },
      snaps: counts.find((c) => c.gameId === id)?.snaps ?? 0,
      marks: own.find((s) => s.sheet === PROGRAM_SHEET)?.marks ?? 0,
      sheets: own
        .filter((s) => s.sheet !== PROGRAM_SHEET)
        .map((s) => ({ userId: s.sheet, name: s.name ?? 'a former user', marks: s.marks })),
      said: said.filter((s) => s.gameId === id),
    };
  });
}

async function saidTo(programId: number, where: { playerId?: number } = {}): Promise<(Said & { gameId: number })[]> {
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

/** Lets players grade themselves before a game is published, or no more. */
export async function allowOwnGrades(member: Member, gameId: number, ownGrades: boolean): Promise<void> {
  const [count] = await GameRow.update({ ownGrades }, { where: { id: gameId, programId: member.programId } });
  if (count === 0) throw none('game');
}

/** The marks of a game that both the program and a user have given, to be held against each other. */
export async function readTwoGraders(member: Member, gameId: number, userId: number): Promise<TwoMarks[]> {
  const { programId } = member;
  await ownGame(member, gameId);
  const snaps = await SnapRow.findAll({
    where: { programId, gameId },
    attributes: ['id', 'number'],
    order: [['number', 'ASC']],
  });
  const grades = await GradeRow.findAll({
    where: { programId, snapId: snaps.map((s) => s.id), sheet: { [Op.in]: [PROGRAM_SHEET, userId] } },
  });
  const players = await PlayerRow.findAll({ where: { programId } });
  return snaps.flatMap(({ id: snapId, number }) => {
    const own = grades.filter((g) => g.snapId === snapId);
    return own.flatMap((one): TwoMarks[] => {
      const other = own.find((g) => g.sheet === userId && g.blocker === one.blocker);
      if (one.sheet !== PROGRAM_SHEET || !other) return [];
      const man = players.find((p) => p.id === one.playerId);
      return [
        {
          ...{ snapId, number, blocker: one.blocker, block: gradeAsked(one).block },
          man: man ? `${man.number} ${man.name}` : one.blocker,
          one: gradeBody(one),
          other: gradeBody(other),
        },
      ];
    });
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
