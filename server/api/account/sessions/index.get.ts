import { EVERYBODY, requireMember, sessionBehind } from '../../../session/member';
import { ownSessions } from '../../../usecases/accounts';

export default defineEventHandler(async (event) => {
  const { userId } = await requireMember(event, EVERYBODY);
  return ownSessions(userId, (await sessionBehind(event))!.id);
});
