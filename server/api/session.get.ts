import { canBegin } from '../usecases/begin';
import { accountOf, programsOf } from '../usecases/accounts';
import { memberBehind } from '../session/member';
import { DEMO_ACCOUNTS } from '#demo/scenario';

/** Who is logged in, and the demo accounts when this server was started with demo data. */
export default defineEventHandler(async (event) => {
  const { demo: isDemo, firstCode } = useRuntimeConfig();
  const demo = isDemo ? DEMO_ACCOUNTS.map(({ email, password, name, role }) => ({ email, password, name, role })) : [];
  const member = await memberBehind(event);
  if (!member)
    return { demo, member, keeper: false, programs: [], deviceKey: null, canBegin: await canBegin(firstCode) };
  const [programs, account] = await Promise.all([programsOf(member.userId), accountOf(member.userId)]);
  return { demo, member, programs, canBegin: false, ...account };
});
