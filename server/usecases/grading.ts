import { Op, QueryTypes } from 'sequelize';
import type { TwoMarks } from '#core/grade/agreement/agreement';
import { PROGRAM_SHEET } from '#core/model/grade';
import { database } from '../db/database';
import { gradeAsked, gradeBody } from '../db/mappers';
import { GameRow, GradeRow, PlayerRow, SnapRow } from '../db/models';
import type { Member } from '../session/member';
import { none, ownGame } from './owned';
import { saidTo, type Said } from './said';

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
/** Every game with how far it is graded, by whom, and what players said to it. */
export async function listGradedGames({ programId }: Member): Promise<GradedGame[]> {
  const sequelize = await database();
  const [games, counts, sheets, said] = await Promise.all([
    GameRow.findAll({ where: { programId, theirs: null }, order: [['week', 'ASC']] }),
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
