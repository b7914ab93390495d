import { NewAccountSchema } from '#core/model/account';
import { enter } from '../../session/enter';
import { BEFORE_LOG_IN, readInput } from '../../session/read-input';
import { forgetTries, takeTry } from '../../session/throttle';
import { TokenSchema } from '../../session/token';
import { join } from '../../usecases/people';

/** Takes an invitation up and logs in. */
export default defineEventHandler(async (event) => {
  const { token, ...account } = await readInput(event, NewAccountSchema.extend(TokenSchema.shape), BEFORE_LOG_IN);
  await takeTry(event, account.email);
  const user = await join(token, account);
  await forgetTries(event, account.email);
  await enter(event, user);
  return { programId: user.programId };
});
