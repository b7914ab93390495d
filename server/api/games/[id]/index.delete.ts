import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { removeGame } from '../../../usecases/schedule';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  await removeGame(member, readId(event));
  return { removed: true };
});
