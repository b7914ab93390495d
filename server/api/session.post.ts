import * as z from 'zod';
import { logIn, programsOf } from '../usecases/accounts';
import { readInput } from '../session/read-input';
import { countFailure, refuseIfBlocked } from '../session/throttle';

const Credentials = z.object({ email: z.string().min(3).max(200), password: z.string().min(1).max(200) });

export default defineEventHandler(async (event) => {
  const { email, password } = await readInput(event, Credentials);
  await refuseIfBlocked(event, email);
  const user = await logIn(email, password);
  if (!user) {
    await countFailure(event, email);
    throw createError({ statusCode: 401, message: 'This address and password do not belong together.' });
  }
  await setUserSession(event, { user });
  return { programs: await programsOf(user.id) };
});
