import * as z from 'zod';
import { logIn, programsOf } from '../usecases/accounts';
import { BEFORE_LOG_IN, readInput } from '../session/read-input';
import { enter } from '../session/enter';
import { forgetTries, takeTry } from '../session/throttle';

const Credentials = z.object({ email: z.string().trim().min(3).max(200), password: z.string().min(1).max(200) });

export default defineEventHandler(async (event) => {
  const { email, password } = await readInput(event, Credentials, BEFORE_LOG_IN);
  await takeTry(event, email);
  const user = await logIn(email, password);
  if (!user) throw createError({ statusCode: 401, message: 'This address and password do not belong together.' });
  await forgetTries(event, email);
  await enter(event, user);
  return { programs: await programsOf(user.id) };
});
