import { createError } from 'h3';
import type { Transaction } from 'sequelize';
import type { Invitation, NewAccount, People, TicketView } from '#core/model/account';
import { ROLES, type Role } from '#core/model/role';
import { audit } from '../audit';
import { database } from '../db/database';
import { MembershipRow, PlayerRow, ProgramRow, SessionRow, TicketRow, UserRow } from '../db/models';
import type { Member } from '../session/member';
import { hashPassword, verifyPassword } from '../session/passwords';
import { endSessionsOf } from '../session/sessions';
import { makeTicket, ticketBehind } from '../session/tickets';
import { none } from './owned';

/** Everybody who belongs to a program, and who has been asked to. */
export async function listPeople({ programId }: Member): Promise<People> {
  await database();
  const memberships = await MembershipRow.findAll({ where: { programId }, order: [['id', 'ASC']] });
  const userId = memberships.map((m) => m.userId);
  const [users, sessions, waiting] = await Promise.all([
    UserRow.findAll({ where: { id: userId } }),
    SessionRow.findAll({ where: { userId, programId }, order: [['seenAt', 'DESC']] }),
    TicketRow.findAll({ where: { programId, kind: 'invitation', usedAt: null }, order: [['id', 'ASC']] }),
  ]);
  return {
    people: memberships.map(({ userId: id, role, playerId }) => {
      const { name, email } = users.find((u) => u.id === id)!;
      const seen = sessions.find((s) => s.userId === id)?.seenAt ?? null;
      return { id, name, email, role: role as Role, playerId, seenAt: seen?.toISOString() ?? null };
    }),
    waiting: waiting
      .filter((t) => t.expiresAt.getTime() > Date.now())
      .map(({ id, name, email, role, playerId, expiresAt }) => ({
        ...{ id, name, email, role: role as Role, playerId },
        expiresAt: expiresAt.toISOString(),
      })),
  };
}

/** Asks somebody to join: the secret of the link, which is told once. A man of the roster has one account. */
export async function invite(member: Member, { role, name, email, playerId }: Invitation): Promise<{ token: string }> {
  const { programId } = member;
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    const man = playerId === null ? null : await manOf(programId, playerId, transaction);
    if (man && (await MembershipRow.findOne({ where: { programId, playerId: man.id }, transaction })))
      throw createError({
        statusCode: 409,
        message: `${man.number} ${man.name} has an account already. Nothing was changed.`,
      });
    const { token } = await makeTicket(
      'invitation',
      { programId, role, name: name || man?.name || '', email, playerId, madeBy: member.userName },
      transaction,
    );
    await audit(
      member,
      'invited',
      [name || man?.name || email, ROLES[role].name].filter(Boolean).join(', '),
      transaction,
    );
    return { token };
  });
}

async function manOf(programId: number, id: number, transaction: Transaction): Promise<PlayerRow> {
  const man = await PlayerRow.findOne({ where: { programId, id, erasedAt: null }, transaction });
  if (!man) throw none('player');
  return man;
}

/** Takes an invitation back: its link opens nothing any more. */
export async function withdraw(member: Member, id: number): Promise<void> {
  await database();
  const where = { id, programId: member.programId, kind: 'invitation', usedAt: null } as const;
  const row = await TicketRow.findOne({ where });
  if (!row) throw none('invitation');
  await row.destroy();
  await audit(member, 'invitation withdrawn', row.name || row.email);
}

/** What a link is for, for whoever holds it. */
export async function lookAtTicket(token: string): Promise<TicketView> {
  const { kind, programId, userId, role, name, email, madeBy } = await ticketBehind(token);
  const [program, user] = await Promise.all([
    programId === null ? null : ProgramRow.findByPk(programId),
    userId === null ? null : UserRow.findByPk(userId),
  ]);
  return {
    ...{ kind: kind as TicketView['kind'], program: program?.name ?? '', by: madeBy, role: role as Role | null },
    ...{ name: user?.name ?? name, email: user?.email ?? email },
  };
}

/**
 * Takes an invitation up: with a new account, or with the one an address has already, whose password it must be. Returns where he is now. The
 * link opens nothing any more, also when two use it at once.
 */
export async function join(token: string, account: NewAccount): Promise<{ id: number; programId: number }> {
  const passwordHash = await hashPassword(account.password);
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    const ticket = await ticketBehind(token, transaction);
    if (ticket.kind !== 'invitation') throw none('invitation');
    const programId = ticket.programId!;
    const known = await UserRow.findOne({ where: { email: account.email }, transaction });
    if (known && !(await verifyPassword(known.passwordHash, account.password)))
      throw createError({
        statusCode: 403,
        message: 'This address has an account here already, with another password. Nothing was changed.',
      });
    const user = known ?? (await UserRow.create({ ...account, passwordHash }, { transaction }));
    const member = { userId: user.id, programId };
    if (await MembershipRow.findOne({ where: member, transaction }))
      throw createError({ statusCode: 409, message: 'You belong to this program already. Log in.' });
    const { role, playerId } = ticket;
    await MembershipRow.create({ ...member, role: role!, playerId }, { transaction });
    await ticket.update({ usedAt: new Date() }, { transaction });
    await audit(member, 'joined', ROLES[role as Role].name, transaction);
    return { id: user.id, programId };
  });
}

/** Changes what somebody may do, or which man of the roster he is. A program always has a line coach. */
export async function changePerson(
  member: Member,
  userId: number,
  change: { role: Role; playerId: number | null },
): Promise<void> {
  const { programId } = member;
  const sequelize = await database();
  await sequelize.transaction(async (transaction) => {
    const row = await ownPerson(programId, userId, transaction);
    if (change.role !== 'coach') await keepACoach(programId, userId, transaction);
    const playerId = change.role === 'player' ? change.playerId : null;
    if (playerId !== null) await manOf(programId, playerId, transaction);
    await row.update({ role: change.role, playerId }, { transaction });
    const { name } = (await UserRow.findByPk(userId, { transaction }))!;
    await audit(member, 'role changed', `${name}: ${ROLES[change.role].name}`, transaction);
  });
}

/** Takes somebody out of a program; what he wrote and graded stays, and he is logged out of it. */
export async function removePerson(member: Member, userId: number): Promise<void> {
  const { programId } = member;
  const sequelize = await database();
  await sequelize.transaction(async (transaction) => {
    const row = await ownPerson(programId, userId, transaction);
    await keepACoach(programId, userId, transaction);
    await row.destroy({ transaction });
    await endSessionsOf(userId, { programId }, transaction);
    const { name } = (await UserRow.findByPk(userId, { transaction }))!;
    await audit(member, 'removed', name, transaction);
  });
}

async function ownPerson(programId: number, userId: number, transaction: Transaction): Promise<MembershipRow> {
  // All changes of a program's people wait for each other, so that two coaches cannot take each other out at once.
  await ProgramRow.findByPk(programId, { lock: transaction.LOCK.UPDATE, transaction });
  const row = await MembershipRow.findOne({ where: { programId, userId }, transaction });
  if (!row) throw none('person');
  return row;
}

async function keepACoach(programId: number, userId: number, transaction: Transaction): Promise<void> {
  const coaches = await MembershipRow.findAll({ where: { programId, role: 'coach' }, transaction });
  if (coaches.every((c) => c.userId === userId))
    throw createError({
      statusCode: 409,
      message: 'A program needs a line coach: make somebody else one first. Nothing was changed.',
    });
}

/**
 * Makes a link by which somebody sets a new password. Not for another coach, and not for one who belongs to other programs as well, where it
 * would open what is not this coach's: those ask for it by mail themselves.
 */
export async function makeReset(member: Member, userId: number): Promise<{ token: string; email: string }> {
  const { programId } = member;
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    const row = await ownPerson(programId, userId, transaction);
    const others = (await MembershipRow.count({ where: { userId }, transaction })) > 1;
    const { name, email, keeper } = (await UserRow.findByPk(userId, { transaction }))!;
    if (others || keeper || (row.role === 'coach' && userId !== member.userId))
      throw createError({
        statusCode: 403,
        message: `${name} can only set a new password by himself, by mail from the log-in page. Nothing was changed.`,
      });
    const { token } = await makeTicket('reset', { programId, userId, madeBy: member.userName }, transaction);
    await audit(member, 'reset made', name, transaction);
    return { token, email };
  });
}

/** A reset somebody asked for himself: the secret of its link and where it is to be sent; `null` when the address is nobody's. */
export async function askForReset(email: string): Promise<{ token: string; email: string } | null> {
  await database();
  const user = await UserRow.findOne({ where: { email } });
  if (!user) return null;
  const { token } = await makeTicket('reset', { userId: user.id });
  return { token, email: user.email };
}

/** Sets a new password by a link, once; every log-in of that user ends. */
export async function resetPassword(token: string, password: string): Promise<void> {
  const passwordHash = await hashPassword(password);
  const sequelize = await database();
  await sequelize.transaction(async (transaction) => {
    const ticket = await ticketBehind(token, transaction);
    if (ticket.kind !== 'reset') throw none('reset');
    const userId = ticket.userId!;
    await UserRow.update({ passwordHash }, { where: { id: userId }, transaction });
    await ticket.update({ usedAt: new Date() }, { transaction });
    await endSessionsOf(userId, {}, transaction);
    for (const { programId } of await MembershipRow.findAll({ where: { userId }, transaction }))
      await audit({ programId, userId }, 'password reset', '', transaction);
  });
}
