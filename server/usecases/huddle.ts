import { createError } from 'h3';
import { Op } from 'sequelize';
import { LINE_SEATS } from '#core/model/formation';
import {
  HuddleQuestionSchema,
  MOST_IN_HUDDLE,
  SaidSchema,
  type Huddle,
  type HuddleChange,
  type HuddleQuestion,
  type Said,
} from '#core/model/huddle';
import { placesOf } from '#core/roster/player';
import { database } from '../db/database';
import { GameRow, HuddleManRow, HuddleRow, MembershipRow, PlayerRow } from '../db/models';
import { announce } from '../live/announce';
import type { Member } from '../session/member';
import { none, ownGame } from './owned';
import { releasedTexts } from './playbook';

const noHuddle = () => createError({ statusCode: 409, message: 'The huddle is over. Nothing was changed.' });
const hasGoneOn = () => createError({ statusCode: 409, message: 'The huddle has gone on. Nothing was changed.' });

/** The huddle of the member's program as he may see it; `null` while there is none. */
export async function readHuddle(member: Member): Promise<Huddle | null> {
  await database();
  const { programId, userId, role } = member;
  const row = await HuddleRow.findOne({ where: { programId } });
  if (!row) return null;
  const question = HuddleQuestionSchema.parse(row.question);
  const [game, men] = await Promise.all([
    GameRow.findOne({ where: { id: row.gameId, programId } }),
    HuddleManRow.findAll({ where: { huddleId: row.id, programId }, order: [['id', 'ASC']] }),
  ]);
  const { schemes, places, jerseys } = await around(member, question, men);
  const answered = men
    .filter((m) => m.number === row.number && m.said !== null)
    .sort((a, b) => Number(a.saidAt) - Number(b.saidAt) || a.id - b.id);
  const mine = answered.find((m) => m.userId === userId);
  const isHidden = question.silent && row.stage === 'open' && role === 'player';
  return {
    ...question,
    ...{ number: row.number, stage: row.stage as Huddle['stage'] },
    game: { id: game!.id, opponent: game!.opponent, week: game!.week },
    texts: schemes,
    men: men.map((m) => ({ seat: m.seat, jersey: jerseys.get(m.userId) ?? null, hasAnswered: answered.includes(m) })),
    seats: places,
    seat: men.find((m) => m.userId === userId)?.seat ?? null,
    said: isHidden ? [] : answered.map((m) => SaidSchema.parse(m.said)),
    mine: mine ? SaidSchema.parse(mine.said) : null,
  };
}

/** What a view needs from elsewhere: the call's own text, the member's places, and everybody's number. */
async function around({ programId, playerId }: Member, { call }: HuddleQuestion, men: readonly HuddleManRow[]) {
  const members = await MembershipRow.findAll({
    where: { programId, userId: men.map((m) => m.userId), playerId: { [Op.ne]: null } },
  });
  const players = await PlayerRow.findAll({
    where: { programId, id: [...members.map((m) => m.playerId!), ...(playerId === null ? [] : [playerId])] },
  });
  const own = players.find((p) => p.id === playerId);
  const places = own ? placesOf(own).filter((s) => s !== 'QB') : [];
  const texts = await releasedTexts({ programId });
  return {
    schemes: texts.filter((t) => t.shelf === 'schemes' && t.id === call.scheme),
    places: places.length > 0 ? places : [...LINE_SEATS],
    jerseys: new Map(members.map((m) => [m.userId, players.find((p) => p.id === m.playerId)?.number ?? null])),
  };
}

/** Calls the line together on a first question; there is one huddle a program. */
export async function openHuddle(member: Member, gameId: number, question: HuddleQuestion): Promise<void> {
  await database();
  await ownGame(member, gameId);
  const { programId, userId } = member;
  const [, isNew] = await HuddleRow.findOrCreate({
    where: { programId },
    defaults: { programId, gameId, number: 1, stage: 'open', question, userId },
  });
  if (!isNew) throw createError({ statusCode: 409, message: 'The line is together already. Nothing was changed.' });
  await announce(programId);
}

/** Asks the next question, or shows what is right; decided on an older question it changes nothing. */
export async function changeHuddle(member: Member, { number, next, stage }: HuddleChange): Promise<void> {
  await database();
  const { programId } = member;
  const change = next ? { question: next, number: number + 1, stage: stage ?? 'open' } : { stage: stage ?? 'open' };
  const [changed] = await HuddleRow.update(change, { where: { programId, number } });
  if (changed === 0) throw (await HuddleRow.count({ where: { programId } })) > 0 ? hasGoneOn() : noHuddle();
  await announce(programId);
}

/** Sends everybody home: what was said in it is gone. */
export async function closeHuddle({ programId }: Member): Promise<void> {
  await database();
  await HuddleRow.destroy({ where: { programId } });
  await announce(programId);
}

/** Takes a place in it; who is in it already changes his place. */
export async function joinHuddle({ programId, userId }: Member, seat: string): Promise<void> {
  const db = await database();
  await db.transaction(async (transaction) => {
    const huddle = await HuddleRow.findOne({ where: { programId }, lock: transaction.LOCK.UPDATE, transaction });
    if (!huddle) throw none('huddle');
    const huddleId = huddle.id;
    const mine = await HuddleManRow.findOne({ where: { huddleId, programId, userId }, transaction });
    if (mine) {
      // What he said from another place does not count at this one.
      if (mine.seat !== seat) await mine.update({ seat, number: 0, said: null, saidAt: null }, { transaction });
      return;
    }
    if ((await HuddleManRow.count({ where: { huddleId, programId }, transaction })) >= MOST_IN_HUDDLE)
      throw createError({ statusCode: 409, message: `There is room for ${MOST_IN_HUDDLE}. Nothing was changed.` });
    await HuddleManRow.create({ huddleId, programId, userId, seat, said: null, saidAt: null }, { transaction });
  });
  await announce(programId);
}

/** What a man says to the question of that number; until it is shown he may say something else. */
export async function sayInHuddle({ programId, userId }: Member, number: number, said: Said): Promise<void> {
  const db = await database();
  await db.transaction(async (transaction) => {
    const huddle = await HuddleRow.findOne({ where: { programId }, lock: transaction.LOCK.SHARE, transaction });
    if (!huddle) throw noHuddle();
    if (huddle.number !== number || huddle.stage !== 'open') throw hasGoneOn();
    const [kept] = await HuddleManRow.update(
      { number, said, saidAt: new Date() },
      { where: { huddleId: huddle.id, programId, userId, seat: said.seat }, transaction },
    );
    if (kept === 0) throw createError({ statusCode: 409, message: 'Take your place first. Nothing was changed.' });
  });
  await announce(programId);
}
