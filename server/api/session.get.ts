import { canBegin } from '../usecases/begin';
import { deviceKeyOf, isKeeper, programsOf } from '../usecases/accounts';
import { memberBehind } from '../session/member';
import { DEMO_ACCOUNTS } from '#demo/scenario';

/** Who is logged in, and the demo accounts when this server was started with demo data. */
export default defineEventHandler(async (event) => {
  const { demo: isDemo, firstCode } = useRuntimeConfig();
  const demo = isDemo ? DEMO_ACCOUNTS.map(({ email, password, name, role }) => ({ email, password, name, role })) : [];
  const member = await memberBehind(event);
  const programs = member ? await programsOf(member.userId) : [];
  const deviceKey = member ? await deviceKeyOf(member.userId) : null;
  const keeper = member ? await isKeeper(member.userId) : false;
  return { demo, member, keeper, programs, deviceKey, canBegin: member ? false : await canBegin(firstCode) };
});
