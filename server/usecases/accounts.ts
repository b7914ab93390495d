import { randomBytes } from 'node:crypto';
import { createError } from 'h3';
import type { OwnSession } from '#core/model/account';
import { MembershipRow, ProgramRow, UserRow } from '../db/models';
import { database } from '../db/database';
import { hashPassword, verifyPassword } from '../session/passwords';
import { endSession, endSessionsOf, sessionsOf } from '../session/sessions';
import { none } from './owned';

/** The user behind an address and a password, with the program he enters first; `null` when either is wrong. */
export async function logIn(email: string, password: string): Promise<{ id: number; programId: number } | null> {
  await database();
  const user = await UserRow.findOne({ where: { email: email.trim().toLowerCase() } });
  // An unknown address costs as much time as a wrong password.
  const known = await verifyPassword(user?.passwordHash ?? (await unknownHash()), password);
  if (!user || !known) return null;
  const first = await MembershipRow.findOne({ where: { userId: user.id }, order: [['id', 'ASC']] });
  return first && { id: user.id, programId: first.programId };
}

let unknown: string | null = null;
const unknownHash = async (): Promise<string> => (unknown ??= await hashPassword('nobody'));

/** What an account is beside its name: whether it keeps this installation, and the key that locks what it leaves on machines, made once. */
export async function accountOf(userId: number): Promise<{ keeper: boolean; deviceKey: string }> {
  const read = async (): Promise<UserRow> => (await UserRow.findByPk(userId, { attributes: ['keeper', 'deviceKey'] }))!;
  const user = await read();
  if (user.deviceKey) return { keeper: user.keeper, deviceKey: user.deviceKey };
  const fresh = randomBytes(32).toString('hex');
  // Whoever else is making one just now may have been faster.
  await UserRow.update({ deviceKey: fresh }, { where: { id: userId, deviceKey: null } });
  return { keeper: user.keeper, deviceKey: (await read()).deviceKey! };
}

/** Programs a user belongs to. */
export async function programsOf(userId: number): Promise<{ id: number; name: string; role: string }[]> {
  const memberships = await MembershipRow.findAll({ where: { userId }, order: [['id', 'ASC']] });
  const programs = await ProgramRow.findAll({ where: { id: memberships.map((m) => m.programId) } });
  return memberships.map((m) => ({
    id: m.programId,
    name: programs.find((p) => p.id === m.programId)!.name,
    role: m.role,
  }));
}

/** Gives a user another password; whoever is logged in as him elsewhere is logged out. */
export async function changePassword(
  { userId, sessionId }: { userId: number; sessionId: string },
  { old, password }: { old: string; password: string },
): Promise<void> {
  await database();
  const user = (await UserRow.findByPk(userId))!;
  if (!(await verifyPassword(user.passwordHash, old)))
    throw createError({ statusCode: 403, message: 'That is not your password now. Nothing was changed.' });
  await user.update({ passwordHash: await hashPassword(password) });
  await endSessionsOf(userId, { but: sessionId });
}

/** Says somebody's name another way. */
export async function changeName(userId: number, name: string): Promise<void> {
  await database();
  await UserRow.update({ name }, { where: { id: userId } });
}

/** Where somebody is logged in, the latest first. */
export async function ownSessions(userId: number, here: string): Promise<OwnSession[]> {
  await database();
  return (await sessionsOf(userId)).map(({ id, machine, createdAt, seenAt }) => ({
    ...{ id, machine, here: id === here },
    startedAt: createdAt.toISOString(),
    seenAt: seenAt.toISOString(),
  }));
}

/** Ends one of one's own log-ins; 404 for anybody else's. */
export async function endOwnSession(userId: number, id: string): Promise<void> {
  await database();
  if (!(await sessionsOf(userId)).some((s) => s.id === id)) throw none('log-in');
  await endSession(id);
}
