import { programsOf } from '../usecases/accounts';
import { memberBehind } from '../session/member';
import { DEMO_ACCOUNTS } from '#demo/scenario';

/** Who is logged in, and the demo accounts when this server was started with demo data. */
export default defineEventHandler(async (event) => {
  const demo = useRuntimeConfig().demo
    ? DEMO_ACCOUNTS.map(({ email, password, name, role }) => ({ email, password, name, role }))
    : [];
  const member = await memberBehind(event);
  return { demo, member, programs: member ? await programsOf(member.userId) : [] };
});
