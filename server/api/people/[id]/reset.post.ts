import { sendReset } from '../../../mail/letters';
import { requireMember } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { makeReset } from '../../../usecases/people';

/** Makes a link for a new password, and sends it too. */
export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  const { token, email } = await makeReset(member, readId(event));
  await sendReset(email, token);
  return { token };
});
