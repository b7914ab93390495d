import { requireMember } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { removePerson } from '../../../usecases/people';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  await removePerson(member, readId(event));
  return { removed: true };
});
