import { PasswordSchema } from '#core/model/account';
import { BEFORE_LOG_IN, readInput } from '../../session/read-input';
import { takeTry } from '../../session/throttle';
import { TokenSchema } from '../../session/token';
import { resetPassword } from '../../usecases/people';

/** Sets a new password by a link. */
export default defineEventHandler(async (event) => {
  const input = await readInput(event, TokenSchema.extend({ password: PasswordSchema }), BEFORE_LOG_IN);
  await takeTry(event, input.token);
  await resetPassword(input.token, input.password);
  return { changed: true };
});
