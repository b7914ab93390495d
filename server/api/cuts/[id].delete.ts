import { requireMember, STAFF } from '../../session/member';
import { readId } from '../../session/read-input';
import { removeCut } from '../../usecases/cuts';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  await removeCut(member, readId(event));
  return { removed: true };
});
