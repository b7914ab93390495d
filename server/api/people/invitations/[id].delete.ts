import { requireMember } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { withdraw } from '../../../usecases/people';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  await withdraw(member, readId(event));
  return { withdrawn: true };
});
