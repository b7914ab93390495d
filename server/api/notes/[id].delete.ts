import { requireMember, STAFF } from '../../session/member';
import { readId } from '../../session/read-input';
import { removeNote } from '../../usecases/notes';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  await removeNote(member, readId(event));
  return { removed: true };
});
