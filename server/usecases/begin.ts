import { timingSafeEqual } from 'node:crypto';
import { createError } from 'h3';
import type { Transaction } from 'sequelize';
import type { NewAccount } from '#core/model/account';
import { audit } from '../audit';
import { database } from '../db/database';
import { MembershipRow, ProgramRow, SeasonRow, TicketRow, UserRow } from '../db/models';
import { hashPassword } from '../session/passwords';
import { hashOf } from '../session/tickets';
import { loadDemo } from './load-demo';

/** Can somebody still make the first program with the code the start command printed? */
export async function canBegin(code: string): Promise<boolean> {
  if (!code) return false;
  await database();
  return (await TicketRow.count({ where: { hash: hashOf(code) } })) === 0;
}

/**
 * Makes the first program of this installation with the account of its line coach, who keeps the installation from then on. `code` is what the
 * start command printed, so that nobody else on the network can; it is good once, also when two use it at the same moment.
 */
export async function begin(
  code: string,
  { given, program, account }: { given: string; program: string; account: NewAccount },
): Promise<{ id: number; programId: number }> {
  if (!code || !(await canBegin(code)))
    throw createError({ statusCode: 409, message: 'The first program has been made here already. Log in.' });
  if (!isSame(given, code))
    throw createError({
      statusCode: 403,
      message: 'This is not the code the start command printed. Nothing was made; look there again.',
    });
  const passwordHash = await hashPassword(account.password);
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    if (await UserRow.findOne({ where: { email: account.email }, transaction }))
      throw createError({ statusCode: 409, message: 'This address has an account here already. Nothing was made.' });
    const now = new Date();
    await TicketRow.create({ kind: 'first', hash: hashOf(code), expiresAt: now, usedAt: now }, { transaction });
    const user = await UserRow.create({ ...account, passwordHash, keeper: true }, { transaction });
    return { id: user.id, programId: await makeProgram(user.id, program, transaction) };
  });
}

/** Are two codes the same, read generously: small letters and missing dashes are no mistake? Takes as long whatever is given. */
function isSame(given: string, code: string): boolean {
  const plain = (text: string): Buffer => Buffer.from(hashOf(text.toUpperCase().replace(/[^A-Z0-9]/g, '')));
  return timingSafeEqual(plain(given), plain(code));
}

/** Another program of somebody who has an account: he is its line coach. */
export async function beginAnother(userId: number, name: string): Promise<{ programId: number }> {
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => ({ programId: await makeProgram(userId, name, transaction) }));
}

async function makeProgram(userId: number, name: string, transaction: Transaction): Promise<number> {
  const { id: programId } = await ProgramRow.create({ name, body: { begun: [] } }, { transaction });
  await MembershipRow.create({ userId, programId, role: 'coach', playerId: null }, { transaction });
  await SeasonRow.create({ programId, name: String(new Date().getFullYear()) }, { transaction });
  await audit({ programId, userId }, 'begun', '', transaction);
  return programId;
}

/** Lets somebody into the made-up program beside his own, as its coach; it is made when it is not here yet, with accounts nobody can enter. */
export async function visitDemo(userId: number): Promise<{ programId: number }> {
  await loadDemo({ enterable: false });
  const program = (await ProgramRow.findOne({ where: { demo: true } }))!;
  await MembershipRow.findOrCreate({
    where: { userId, programId: program.id },
    defaults: { userId, programId: program.id, role: 'coach', playerId: null },
  });
  return { programId: program.id };
}

/** Leaves the made-up program again. */
export async function leaveDemo(userId: number): Promise<void> {
  await database();
  const program = await ProgramRow.findOne({ where: { demo: true } });
  if (program) await MembershipRow.destroy({ where: { userId, programId: program.id } });
}
