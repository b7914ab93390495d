import type { CreationAttributes, Transaction } from 'sequelize';
import { askedOf } from '#core/grade/book/marked';
import { playerAt } from '#core/film/log/lineup';
import type { Resolution } from '#core/model/resolution';
import { PROGRAM_SHEET, type Grade } from '#core/model/grade';
import { chance } from '#demo/cameras/random';
import { gradeOf, lineupOfGame, PLAYED_GAMES, secondReading, snapsOfGame, type PlayedGame } from '#demo/season';
import { GameRow, GradeRow, SnapRow, type PlayerRow } from '../db/models';
import { workOut } from './work-out';

/** Who made the demo's season: the program, its roster and the accounts of its coaches. */
interface Season {
  readonly programId: number;
  readonly seasonId: number;
  readonly players: readonly PlayerRow[];
  readonly coach: number;
  readonly assistant: number;
}

/** Puts the games into the database that the Lanterns have played and graded before the one on film. */
export async function loadSeason(season: Season, transaction: Transaction): Promise<void> {
  for (const game of PLAYED_GAMES) await loadGame(season, game, transaction);
}

async function loadGame(season: Season, played: PlayedGame, transaction: Transaction): Promise<void> {
  const { programId, seasonId, players } = season;
  const { opponent, week, rubric } = played;
  const lineup = lineupOfGame(played, (number) => players.find((p) => p.number === number)!.id);
  const game = await GameRow.create(
    { programId, seasonId, opponent, week, published: true, lineup: { ...lineup } },
    { transaction },
  );
  const random = chance(played.seed + 1);
  const snaps = snapsOfGame(played);
  const bodies = snaps.map(({ call, situation, notCounted }) => ({
    call,
    situation,
    resolution: answerTo(call),
    logged: { personnel: '', said: '', notCounted },
  }));
  const rows = await SnapRow.bulkCreate(
    bodies.map((body, i) => ({ programId, gameId: game.id, number: i + 1, body })),
    { transaction, returning: true },
  );
  const grades: CreationAttributes<GradeRow>[] = [];
  for (const [i, { id: snapId, number }] of rows.entries()) {
    const { resolution, logged } = bodies[i]!;
    if (logged.notCounted) continue;
    for (const assignment of resolution.assignments) {
      const { blocker } = assignment;
      const playerId = playerAt(lineup, players, blocker, number);
      const worn = players.find((p) => p.id === playerId)?.number ?? 0;
      const asked = askedOf(assignment);
      const given = gradeOf(asked, worn, rubric, resolution.passing !== null, random);
      if (!given) continue;
      const mark = (sheet: number, userId: number, body: Grade) => ({
        ...{ programId, snapId, blocker, playerId, asked, sheet, userId, body },
      });
      grades.push(mark(PROGRAM_SHEET, season.coach, given));
      if (played.twice)
        grades.push(mark(season.assistant, season.assistant, secondReading(given, asked.block, random)));
    }
  }
  await GradeRow.bulkCreate(grades, { transaction });
}

/** The same call is worked out once. */
const answers = new Map<string, Resolution>();
function answerTo(call: Parameters<typeof workOut>[0]): Resolution {
  const key = JSON.stringify(call);
  const found = answers.get(key) ?? workOut(call);
  answers.set(key, found);
  return found;
}
