import type { H3Event } from 'h3';
import { ROLE_IDS, type Role } from '#core/model/role';
import { MembershipRow, ProgramRow, UserRow, type SessionRow } from '../db/models';
import { database } from '../db/database';
import { findSession } from './sessions';

export { GRADED, READERS, STAFF, type Role } from '#core/model/role';
/** Everybody who belongs to a program. */
export const EVERYBODY = ROLE_IDS;

/** Who is asking, for which program, in which role. Every query takes one: there is no other way to the data. */
export interface Member {
  readonly userId: number;
  readonly userName: string;
  readonly programId: number;
  readonly programName: string;
  readonly role: Role;
  readonly playerId: number | null;
}

/** A user's place in a program as it is now, not as it was when he logged in. */
export async function findMember(userId: number, programId: number): Promise<Member | null> {
  await database();
  const membership = await MembershipRow.findOne({ where: { userId, programId } });
  const [user, program] = await Promise.all([UserRow.findByPk(userId), ProgramRow.findByPk(programId)]);
  if (!membership || !user || !program) return null;
  return {
    userId,
    userName: user.name,
    programId,
    programName: program.name,
    role: membership.role as Role,
    playerId: membership.playerId,
  };
}

/** The member behind a request; `null` when nobody is logged in there. */
export async function memberBehind(event: H3Event): Promise<Member | null> {
  const session = await sessionBehind(event);
  return session && findMember(session.userId, session.programId);
}

/** The log-in behind a request's cookie, as long as it lasts. */
export const sessionBehind = async (event: H3Event): Promise<SessionRow | null> =>
  findSession((await getUserSession(event)).secure?.session);

/** The member behind a request, or 401; 403 when his role is not among those allowed. */
export async function requireMember(event: H3Event, roles: readonly Role[]): Promise<Member> {
  const member = await memberBehind(event);
  if (!member) throw createError({ statusCode: 401, message: 'Log in first.' });
  if (!roles.includes(member.role))
    throw createError({ statusCode: 403, message: 'Your role in this program does not include this.' });
  return member;
}
