import { READERS, requireMember, sessionBehind } from '../../session/member';
import { visitDemo } from '../../usecases/begin';

/** Goes to the made-up program, to look around. */
export default defineEventHandler(async (event) => {
  const { userId } = await requireMember(event, READERS);
  const there = await visitDemo(userId);
  await (await sessionBehind(event))!.update(there);
  return there;
});
