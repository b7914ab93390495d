import { EVERYBODY, requireMember } from '../../../session/member';
import { endOwnSession } from '../../../usecases/accounts';

/** Ends one of one's own log-ins, wherever it is. */
export default defineEventHandler(async (event) => {
  const { userId } = await requireMember(event, EVERYBODY);
  await endOwnSession(userId, getRouterParam(event, 'session') ?? '');
  return { ended: true };
});
