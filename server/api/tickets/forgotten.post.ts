import * as z from 'zod';
import { EmailSchema } from '#core/model/account';
import { sendReset } from '../../mail/letters';
import { BEFORE_LOG_IN, readInput } from '../../session/read-input';
import { takeTry } from '../../session/throttle';
import { askForReset } from '../../usecases/people';

/** Sends a link for a new password; says the same, as fast, whether the address has an account or not. */
export default defineEventHandler(async (event) => {
  const { email } = await readInput(event, z.object({ email: EmailSchema }), BEFORE_LOG_IN);
  await takeTry(event, `forgotten ${email}`);
  const reset = await askForReset(email);
  if (reset) event.waitUntil(sendReset(reset.email, reset.token));
  return { asked: true };
});
