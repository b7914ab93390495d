import { InvitationSchema } from '#core/model/account';
import { sendInvitation } from '../../../mail/letters';
import { requireMember } from '../../../session/member';
import { readInput } from '../../../session/read-input';
import { invite } from '../../../usecases/people';

/** Asks somebody to join; the link is shown to the coach, and sent where there is an address. */
export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  const invitation = await readInput(event, InvitationSchema);
  const { token } = await invite(member, invitation);
  const of = { token, program: member.programName, by: member.userName };
  if (invitation.email) await sendInvitation(invitation.email, of);
  return { token };
});
