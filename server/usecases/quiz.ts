import { createError } from 'h3';
import { format } from 'date-fns';
import { Op, QueryTypes } from 'sequelize';
import type { OwnText } from '#core/calls/playbook';
import { LINE_SEATS } from '#core/model/formation';
import {
  keyOfItem,
  QuizAnswerSchema,
  type Quiz,
  type QuizAnswer,
  type QuizPart,
  type QuizResult,
} from '#core/model/quiz';
import { WeekPlanSchema, type WeekPlan } from '#core/model/week-plan';
import { placesOf } from '#core/roster/player';
import { database } from '../db/database';
import { GameRow, PlayerRow, QuizAnswerRow, WeekPartRow } from '../db/models';
import type { Member } from '../session/member';
import { none, ownGame } from './owned';
import { releasedTexts } from './playbook';
import { newestSeason } from './seasons';

/** Answers a phone is given back: enough to know what he has forgotten. */
const MOST_ANSWERS = 2_000;

/** What the member is quizzed on: the next game whose plan is open to players, with his places and his own answers. */
export async function readQuiz(member: Member): Promise<Quiz> {
  await database();
  const { programId, playerId } = member;
  const open = await openWeek(member);
  const man =
    playerId === null ? null : await PlayerRow.findOne({ where: { id: playerId, programId, erasedAt: null } });
  const answers = await QuizAnswerRow.findAll({
    where: { programId, playerId: playerId ?? 0 },
    order: [
      ['answeredAt', 'DESC'],
      ['id', 'DESC'],
    ],
    limit: MOST_ANSWERS,
  });
  const { plays, looks } = open?.plan ?? { plays: [], looks: [] };
  return {
    game: open && { id: open.game.id, opponent: open.game.opponent, week: open.game.week },
    ...{ plays, looks },
    texts: open ? await textsOf(member, plays) : [],
    seats: man ? placesOf(man).filter((s) => s !== 'QB') : member.role === 'player' ? [] : [...LINE_SEATS],
    answers: answers.map((a) => QuizAnswerSchema.parse(a.body)).reverse(),
  };
}

/** The next game with a plan that is open to players; a coach sees what he has not opened yet. */
async function openWeek(member: Member): Promise<{ game: GameRow; plan: WeekPlan } | null> {
  const season = await newestSeason(member);
  const today = format(new Date(), 'yyyy-MM-dd');
  const games = await GameRow.findAll({
    where: {
      ...{ programId: member.programId, seasonId: season.id, theirs: null },
      playedOn: { [Op.or]: [{ [Op.gte]: today }, { [Op.is]: null }] },
    },
    order: [['week', 'ASC']],
  });
  const parts = await WeekPartRow.findAll({
    where: { programId: member.programId, gameId: games.map((g) => g.id), part: 'plan' },
  });
  for (const game of games) {
    const part = parts.find((p) => p.gameId === game.id);
    if (!part) continue;
    const plan = WeekPlanSchema.parse(part.body);
    if (plan.plays.length > 0 && plan.looks.length > 0 && (plan.quiz || member.role !== 'player'))
      return { game, plan };
  }
  return null;
}

/** The program's own texts of the plays that are asked, and no others. */
async function textsOf(member: Member, plays: WeekPlan['plays']): Promise<OwnText[]> {
  const asked = new Set(plays.map((p) => p.scheme));
  return (await releasedTexts(member)).filter((t) => t.shelf === 'schemes' && asked.has(t.id));
}

/** Keeps a player's answers, each once however often it is sent. */
export async function keepAnswers(
  { programId, playerId }: Member,
  gameId: number,
  answers: readonly QuizAnswer[],
): Promise<{ kept: number }> {
  await database();
  if (playerId === null)
    throw createError({ statusCode: 409, message: 'Nobody on the roster is you. Ask your coach.' });
  const game = await GameRow.findOne({ where: { id: gameId, programId } });
  if (!game) throw none('game');
  // An answer of another player's with the same id is left as it is.
  await QuizAnswerRow.bulkCreate(
    answers.map((body) => ({
      ...{ answer: body.id, programId, gameId, playerId, body, answeredAt: new Date(body.at) },
      itemKey: keyOfItem(body.item),
    })),
    { ignoreDuplicates: true },
  );
  return { kept: await QuizAnswerRow.count({ where: { programId, playerId, answer: answers.map((a) => a.id) } }) };
}

interface Counted {
  readonly body: unknown;
  readonly playerId: number;
}

/** How everything was answered by everybody, for the staff. */
export async function readResults(member: Member, gameId: number): Promise<QuizResult[]> {
  const db = await database();
  await ownGame(member, gameId);
  const rows = await db.query<Counted>(
    `select body, player_id as "playerId" from quiz_answers where program_id = :programId and game_id = :gameId order by answered_at`,
    { type: QueryTypes.SELECT, replacements: { programId: member.programId, gameId } },
  );
  const found = new Map<string, { result: QuizResult; men: Set<number> }>();
  for (const { body, playerId } of rows) {
    const { item, parts, moved, film } = QuizAnswerSchema.parse(body);
    const key = keyOfItem(item);
    const { result, men } = found.get(key) ?? {
      result: { item, men: 0, of: 0, right: 0, missed: {}, film: { of: 0, same: 0 } },
      men: new Set(),
    };
    men.add(playerId);
    const missed = { ...result.missed };
    for (const [part, right] of Object.entries(parts) as [QuizPart, boolean][])
      if (!right) missed[part] = (missed[part] ?? 0) + 1;
    const isAllRight = Object.values(parts).every(Boolean) && moved !== false;
    found.set(key, {
      result: {
        ...{ item, men: men.size, of: result.of + 1, right: result.right + (isAllRight ? 1 : 0), missed },
        film: {
          of: result.film.of + (film ? 1 : 0),
          same: result.film.same + (film?.assignment && film.technique ? 1 : 0),
        },
      },
      men,
    });
  }
  return [...found.values()].map((f) => f.result).sort((a, b) => a.right / a.of - b.right / b.of || b.of - a.of);
}
