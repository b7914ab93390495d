import type { H3Event } from 'h3';
import { QueryTypes } from 'sequelize';
import { ROLE_IDS, type Role } from '#core/model/role';
import type { SessionRow } from '../db/models';
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
  const sequelize = await database();
  // Asked with every request: one question, and nothing of the program but its name.
  const [found] = await sequelize.query<Omit<Member, 'userId' | 'programId'>>(
    `select u.name as "userName", p.name as "programName", m.role, m.player_id as "playerId"
     from memberships m join users u on u.id = m.user_id join programs p on p.id = m.program_id
     where m.user_id = :userId and m.program_id = :programId`,
    { type: QueryTypes.SELECT, replacements: { userId, programId } },
  );
  return found ? { userId, programId, ...found } : null;
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
