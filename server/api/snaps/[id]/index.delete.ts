import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { removeSnap } from '../../../usecases/log';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  await removeSnap(member, readId(event));
  return { removed: true };
});
