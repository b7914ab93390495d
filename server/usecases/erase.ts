import { randomUUID } from 'node:crypto';
import { createError } from 'h3';
import { Op, QueryTypes, type Transaction } from 'sequelize';
import { PROGRAM_SHEET } from '#core/model/grade';
import { ERASED, partsOfName, withoutName, withoutNameIn } from '#core/roster/without-name';
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
  QuizAnswerRow,
  TicketRow,
  UserRow,
} from '../db/models';
import type { Member } from '../session/member';
import { hashPassword } from '../session/passwords';
import { endSessionsOf } from '../session/sessions';
import { none } from './owned';

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
export const erasePlayer = ({ programId, userId }: Member, id: number): Promise<Erased> =>
  eraseMan(programId, id, { userId, what: 'erased' });

/** The same, by whoever does it: a coach, or nobody when its time was up. */
export async function eraseMan(
  programId: number,
  id: number,
  by: { readonly userId: number | null; readonly what: 'erased' | 'erased in time' },
): Promise<Erased> {
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
    const { name } = man;
    const marks = await forgetMarks(programId, man, transaction);
    const account = await forgetAccount(programId, man, transaction);
    await AcknowledgementRow.destroy({ where: { programId, playerId: id }, transaction });
    await QuizAnswerRow.destroy({ where: { programId, playerId: id }, transaction });
    await AttendanceRow.destroy({ where: { programId, playerId: id }, transaction });
    await TicketRow.destroy({ where: { programId, playerId: id }, transaction });
    await forgetJerseys(programId, id, transaction);
    await forgetWords(programId, name, transaction);
    const now = new Date();
    const erased = {
      name: ERASED,
      number: 0,
      seat: '',
      seats: [],
      defence: '',
      weight: null,
      erasedAt: now,
      leftAt: man.leftAt ?? now,
    };
    await man.update(erased, { transaction });
    await audit({ programId, userId: by.userId }, by.what, 'a man who had left', transaction);
    return { ...marks, account };
  });
}

/** Notes on his marks and the history of their changes; the marks themselves are counts. */
async function forgetMarks(
  programId: number,
  man: PlayerRow,
  transaction: Transaction,
): Promise<{ marks: number; changes: number }> {
  const grades = await GradeRow.findAll({ where: { programId, playerId: man.id }, transaction });
  if (grades.length === 0) return { marks: 0, changes: 0 };
  for (const row of grades) await row.update({ body: { ...gradeBody(row), note: '' } }, { transaction });
  const changes = await GradeChangeRow.destroy({
    where: { programId, [Op.or]: grades.map(({ snapId, blocker, sheet }) => ({ snapId, blocker, sheet })) },
    transaction,
  });
  return { marks: grades.filter((g) => g.sheet === PROGRAM_SHEET).length, changes };
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
    { name: ERASED, email: `${randomUUID()}@erased.invalid`, passwordHash },
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

/** Columns in which people wrote: the text itself, or a body with texts in it. */
const WRITTEN: readonly (readonly [table: string, column: string])[] = [
  ['film_notes', 'body'],
  ['snap_findings', 'body'],
  ['grades', 'body'],
  ['grade_changes', 'before'],
  ['grade_changes', 'after'],
  ['acknowledgements', 'question'],
  ['acknowledgements', 'answer'],
  ['cuts', 'name'],
  ['audit', 'about'],
];

/** His name where others wrote it. */
async function forgetWords(programId: number, name: string, transaction: Transaction): Promise<void> {
  const sequelize = await database();
  const parts = partsOfName(name).map((part) => `%${part.replace(/[\\%_]/g, '\\$&')}%`);
  for (const [table, column] of WRITTEN) {
    const rows = await sequelize.query<{ id: number; written: unknown }>(
      `select id, ${column} as written from ${table} where program_id = $1 and ${column}::text ilike any ($2::text[])`,
      { bind: [programId, parts], type: QueryTypes.SELECT, transaction },
    );
    for (const { id, written } of rows) {
      const now =
        typeof written === 'string' ? withoutName(written, name) : JSON.stringify(withoutNameIn(written, name));
      await sequelize.query(`update ${table} set ${column} = $1 where id = $2`, { bind: [now, id], transaction });
    }
  }
}
