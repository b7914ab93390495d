import { MembershipRow, PlayerRow, ProgramRow, UserRow } from '../db/models';
import { database } from '../db/database';
import { hashPassword, verifyPassword } from '../session/passwords';
import type { Member } from '../session/member';

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

/** The program's roster by jersey number; a player sees only himself. */
export async function roster(member: Member): Promise<{ id: number; name: string; number: number; seat: string }[]> {
  const own = member.role === 'player' ? { id: member.playerId ?? 0 } : {};
  const rows = await PlayerRow.findAll({ where: { programId: member.programId, ...own }, order: [['number', 'ASC']] });
  return rows.map(({ id, name, number, seat }) => ({ id, name, number, seat }));
}
