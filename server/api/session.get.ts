import { canBegin } from '../usecases/begin';
import { programsOf } from '../usecases/accounts';
import { memberBehind } from '../session/member';
import { DEMO_ACCOUNTS } from '#demo/scenario';

/** Who is logged in, and the demo accounts when this server was started with demo data. */
export default defineEventHandler(async (event) => {
  const { demo: isDemo, firstCode } = useRuntimeConfig();
  const demo = isDemo ? DEMO_ACCOUNTS.map(({ email, password, name, role }) => ({ email, password, name, role })) : [];
  const member = await memberBehind(event);
  const programs = member ? await programsOf(member.userId) : [];
  return { demo, member, programs, canBegin: member ? false : await canBegin(firstCode) };
});
