import { format } from 'date-fns';
import { QueryTypes, type Sequelize } from 'sequelize';
import { PROGRAM_SHEET } from '#core/model/grade';
import { PracticeWeekSchema } from '#core/model/practice';
import { WeekPlanSchema } from '#core/model/week-plan';
import { gameAhead } from '#core/model/schedule';
import type { WeekCounts } from '#core/plan/week-asks';
import { database } from '../db/database';
import { GameRow, PlayerRow, WeekPartRow } from '../db/models';
import type { Member } from '../session/member';
import { newestSeason } from './seasons';

/** What there is to do in the program, counted. */
export async function readCounts(member: Member): Promise<WeekCounts> {
  const db = await database();
  const { programId } = member;
  const season = await newestSeason(member);
  const [men, games, graded, loose] = await Promise.all([
    PlayerRow.count({ where: { programId, leftAt: null, erasedAt: null } }),
    GameRow.findAll({ where: { programId, seasonId: season.id, theirs: null }, order: [['week', 'ASC']] }),
    readGraded(db, programId, season.id),
    readLoose(db, programId),
  ]);
  const today = format(new Date(), 'yyyy-MM-dd');
  const isOver = (g: GameRow): boolean => typeof g.playedOn === 'string' && g.playedOn < today;
  const withoutSnaps = games.filter((g) => !graded.some((x) => x.gameId === g.id));
  const listed = games.map((row) => ({
    ...{ row, week: row.week, playedOn: row.playedOn ?? null },
    snaps: graded.find((x) => x.gameId === row.id)?.snaps ?? 0,
  }));
  const next = gameAhead(listed, today)?.row ?? null;
  return {
    ...{ men, games: games.length, graded, ...loose },
    unlogged: withoutSnaps.filter(isOver).map(({ id, opponent, week }) => ({ gameId: id, opponent, week })),
    next: next && (await readNext(programId, next)),
  };
}

const readGraded = (db: Sequelize, programId: number, seasonId: number): Promise<WeekCounts['graded']> =>
  db.query(
    `select g.id as "gameId", g.opponent, g.week, g.published, count(s.id)::int as snaps,
       (count(s.id) filter (where not m.marked))::int as ungraded, min(s.number) filter (where not m.marked) as first,
       (array_agg(s.id order by s.number) filter (where not m.marked))[1] as "nextSnap"
     from games g join snaps s on s.game_id = g.id
       cross join lateral (select coalesce(s.body->'logged'->>'notCounted', '') <> ''
         or exists (select 1 from grades x where x.snap_id = s.id and x.sheet = ${PROGRAM_SHEET}) as marked) m
     where g.program_id = :programId and s.program_id = :programId and g.season_id = :seasonId and g.theirs is null
     group by g.id order by g.week, g.id`,
    { type: QueryTypes.SELECT, replacements: { programId, seasonId } },
  );

async function readLoose(
  db: Sequelize,
  programId: number,
): Promise<Pick<WeekCounts, 'questions' | 'ruleQuestions' | 'looseFilms'>> {
  const [row] = await db.query<Pick<WeekCounts, 'questions' | 'ruleQuestions' | 'looseFilms'>>(
    `select (select count(*)::int from acknowledgements where program_id = :programId and question <> '' and answer = '') as questions,
       (select coalesce(sum(jsonb_array_length(body->'questions')), 0)::int from snap_findings where program_id = :programId) as "ruleQuestions",
       (select count(*)::int from films f where f.program_id = :programId and f.kind = 'own game' and f.state = 'ready'
         and not exists (select 1 from clips c where c.film_id = f.id)
         and not exists (select 1 from films o where o.program_id = :programId and o.body->'cutOut'->>'film' = f.id::text)) as "looseFilms"`,
    { type: QueryTypes.SELECT, replacements: { programId } },
  );
  return row!;
}

async function readNext(programId: number, game: GameRow): Promise<WeekCounts['next']> {
  const { id, opponent, week, playedOn } = game;
  const parts = await WeekPartRow.findAll({ where: { programId, gameId: id } });
  const bodyOf = (part: string): unknown => parts.find((p) => p.part === part)?.body;
  const plan = WeekPlanSchema.parse(bodyOf('plan') ?? { plays: [], looks: [], quiz: false });
  const { days } = PracticeWeekSchema.parse(bodyOf('practice') ?? { days: [] });
  return {
    ...{ gameId: id, opponent, week, playedOn: playedOn ?? null },
    ...{ plays: plan.plays.length, looks: plan.looks.length },
    days: days.map(({ day, lines }) => ({ day, lines: lines.length })),
  };
}
