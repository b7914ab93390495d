import { randomUUID } from 'node:crypto';
import { createError } from 'h3';
import { Op, type Transaction } from 'sequelize';
import { PROGRAM_SHEET } from '#core/model/grade';
import { audit } from '../audit';
import { database } from '../db/database';
import { gradeBody, lineupOf } from '../db/mappers';
import {
  AcknowledgementRow,
  AttendanceRow,
  GameRow,
  GradeChangeRow,
  GradeRow,
  MembershipRow,
  PlayerRow,
  ProgramRow,
  TicketRow,
  UserRow,
} from '../db/models';
import type { Member } from '../session/member';
import { hashPassword } from '../session/passwords';
import { endSessionsOf } from '../session/sessions';
import { none } from './owned';

/** What stands where a name stood. */
const NOBODY = 'erased';

/** What was deleted of a man, and what stays. */
export interface Erased {
  readonly marks: number;
  readonly changes: number;
  readonly account: boolean;
}

/**
 * Deletes everything that says something of a man: his name and number, notes on his marks, the history of their changes, his own readings, what
 * he asked and was told, his attendance, his account where it is in no other program. Counts stay without a name. Only for one who has left.
 */
export async function erasePlayer(member: Member, id: number): Promise<Erased> {
  const { programId } = member;
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    await ProgramRow.findByPk(programId, { lock: transaction.LOCK.UPDATE, transaction });
    const man = await PlayerRow.findOne({ where: { id, programId, erasedAt: null }, transaction });
    if (!man) throw none('player');
    if (!man.leftAt)
      throw createError({
        statusCode: 409,
        message: `${man.name} is on the roster: write down that he has left first. Nothing was changed.`,
      });
    const names = namesOf(man.name);
    const marks = await forgetMarks(programId, man, transaction);
    const account = await forgetAccount(programId, man, transaction);
    await AcknowledgementRow.destroy({ where: { programId, playerId: id }, transaction });
    await AttendanceRow.destroy({ where: { programId, playerId: id }, transaction });
    await TicketRow.destroy({ where: { programId, playerId: id }, transaction });
    await forgetJerseys(programId, id, transaction);
    await forgetWords(programId, names, transaction);
    const now = new Date();
    const erased = {
      name: NOBODY,
      number: 0,
      seat: '',
      seats: [],
      defence: '',
      erasedAt: now,
      leftAt: man.leftAt ?? now,
    };
    await man.update(erased, { transaction });
    await audit(member, 'erased', 'a man who had left', transaction);
    return { ...marks, account };
  });
}

/** His name as it may stand in a text: whole, and each part of it that is no mere letter. */
const namesOf = (name: string): string[] => [name, ...name.split(/\s+/).filter((part) => part.length > 2)];

/** Notes on his marks and the history of their changes; the marks themselves are counts. */
async function forgetMarks(
  programId: number,
  man: PlayerRow,
  transaction: Transaction,
): Promise<{ marks: number; changes: number }> {
  const grades = await GradeRow.findAll({ where: { programId, playerId: man.id }, transaction });
  for (const row of grades) await row.update({ body: { ...gradeBody(row), note: '' } }, { transaction });
  const changes = await GradeChangeRow.destroy({
    where: { programId, [Op.or]: grades.map(({ snapId, blocker, sheet }) => ({ snapId, blocker, sheet })) },
    transaction,
  });
  return { marks: grades.filter((g) => g.sheet === PROGRAM_SHEET).length, changes: grades.length ? changes : 0 };
}

/** His account: his own readings go, his membership goes, and the account itself where it is in no other program. */
async function forgetAccount(programId: number, man: PlayerRow, transaction: Transaction): Promise<boolean> {
  const membership = await MembershipRow.findOne({ where: { programId, playerId: man.id }, transaction });
  if (!membership) return false;
  const { userId } = membership;
  await GradeRow.destroy({ where: { programId, sheet: userId }, transaction });
  await GradeChangeRow.destroy({ where: { programId, sheet: userId }, transaction });
  await membership.destroy({ transaction });
  await endSessionsOf(userId, { programId }, transaction);
  if (await MembershipRow.findOne({ where: { userId }, transaction })) return false;
  const passwordHash = await hashPassword(randomUUID());
  await UserRow.update(
    { name: NOBODY, email: `${randomUUID()}@erased.invalid`, passwordHash },
    { where: { id: userId }, transaction },
  );
  await endSessionsOf(userId, {}, transaction);
  return true;
}

/** Which numbers he wore. */
async function forgetJerseys(programId: number, id: number, transaction: Transaction): Promise<void> {
  for (const game of await GameRow.findAll({ where: { programId }, lock: transaction.LOCK.UPDATE, transaction })) {
    const lineup = lineupOf(game);
    const jerseys = lineup.jerseys.filter((c) => c.playerId !== id);
    if (jerseys.length === lineup.jerseys.length) continue;
    await game.update({ lineup: { ...lineup, jerseys }, lineupRevision: game.lineupRevision + 1 }, { transaction });
  }
}

/** Texts that people wrote, in which he may be named: table and column, JSON or plain. */
const WRITTEN: readonly (readonly [table: string, column: string, json: boolean])[] = [
  ['film_notes', 'body', true],
  ['snap_findings', 'body', true],
  ['grades', 'body', true],
  ['grade_changes', 'before', true],
  ['grade_changes', 'after', true],
  ['acknowledgements', 'question', false],
  ['acknowledgements', 'answer', false],
  ['cuts', 'name', false],
  ['audit', 'about', false],
];

/** His name where others wrote it, as a word by itself. */
async function forgetWords(programId: number, names: readonly string[], transaction: Transaction): Promise<void> {
  const sequelize = await database();
  const pattern = names.map((n) => `\\m${n.replace(/[^\p{L}\p{N} ]/gu, '.')}\\M`).join('|');
  for (const [table, column, json] of WRITTEN) {
    const text = json ? `${column}::text` : column;
    const now = `regexp_replace(${text}, $1, '${NOBODY}', 'gi')${json ? '::jsonb' : ''}`;
    await sequelize.query(`update ${table} set ${column} = ${now} where program_id = $2 and ${text} ~* $1`, {
      bind: [pattern, programId],
      transaction,
    });
  }
}
