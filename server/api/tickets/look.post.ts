import { BEFORE_LOG_IN, readInput } from '../../session/read-input';
import { takeTry } from '../../session/throttle';
import { TokenSchema } from '../../session/token';
import { lookAtTicket } from '../../usecases/people';

/** What a link is for; its secret comes in the body, as addresses are written down in many places. */
export default defineEventHandler(async (event) => {
  const { token } = await readInput(event, TokenSchema, BEFORE_LOG_IN);
  await takeTry(event, token);
  return lookAtTicket(token);
});
