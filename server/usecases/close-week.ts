import { QueryTypes } from 'sequelize';
import { PracticeWeekSchema } from '#core/model/practice';
import type { FaultCount, PractisedWeek } from '#core/practice/close-week';
import { upToDate } from '../book/keep';
import { GameRow, WeekPartRow } from '../db/models';
import type { Member } from '../session/member';
import { newestSeason } from './seasons';

export interface ToClose {
  readonly counts: FaultCount[];
  readonly weeks: PractisedWeek[];
}

/** Faults of the season, game by game, those that did not come again with none; and the weeks that were practised. */
export async function readToClose(member: Member): Promise<ToClose> {
  const { programId } = member;
  const db = await upToDate(programId);
  const season = await newestSeason(member);
  const counts = await db.query<FaultCount>(
    `with marks as (select game_id, player_id, faults from book_grades
         where program_id = :programId and season_id = :seasonId and player_id is not null),
       graded as (select game_id, player_id, count(*)::int as of from marks group by 1, 2),
       had as (select distinct player_id, f.fault from marks cross join lateral unnest(faults) as f(fault))
     select g.game_id as "gameId", games.week, g.player_id as "playerId", h.fault, g.of,
       (select count(*)::int from marks m where m.game_id = g.game_id and m.player_id = g.player_id and h.fault = any(m.faults)) as times
     from graded g join had h on h.player_id = g.player_id join games on games.id = g.game_id
     where games.program_id = :programId order by games.week, g.player_id, h.fault`,
    { type: QueryTypes.SELECT, replacements: { programId, seasonId: season.id } },
  );
  const games = await GameRow.findAll({ where: { programId, seasonId: season.id } });
  const parts = await WeekPartRow.findAll({ where: { programId, gameId: games.map((g) => g.id), part: 'practice' } });
  return {
    counts,
    weeks: parts.map((p) => ({
      week: games.find((g) => g.id === p.gameId)!.week,
      practice: PracticeWeekSchema.parse(p.body),
    })),
  };
}
