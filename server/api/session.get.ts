import { programsOf } from '../usecases/accounts';
import { findMember } from '../session/member';
import { DEMO_ACCOUNTS } from '#demo/scenario';

/** Who is logged in, and the demo accounts when this server was started with demo data. */
export default defineEventHandler(async (event) => {
  const demo = useRuntimeConfig().demo
    ? DEMO_ACCOUNTS.map(({ email, password, name, role }) => ({ email, password, name, role }))
    : [];
  const session = await getUserSession(event);
  const member = session.user ? await findMember(session.user.id, session.user.programId) : null;
  return { demo, member, programs: member ? await programsOf(member.userId) : [] };
});
