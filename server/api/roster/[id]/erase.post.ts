import { requireMember } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { erasePlayer } from '../../../usecases/erase';

/** Deletes everything that says something of a man who has left; counts stay without a name. */
export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  return erasePlayer(member, readId(event));
});
