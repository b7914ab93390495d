import * as z from 'zod';
import { PasswordSchema } from '#core/model/account';
import { EVERYBODY, requireMember, sessionBehind } from '../../session/member';
import { BEFORE_LOG_IN, readInput } from '../../session/read-input';
import { takeTry } from '../../session/throttle';
import { changePassword } from '../../usecases/accounts';

export default defineEventHandler(async (event) => {
  const { userId } = await requireMember(event, EVERYBODY);
  const input = await readInput(event, z.object({ old: z.string().max(200), password: PasswordSchema }), BEFORE_LOG_IN);
  await takeTry(event, `password of ${userId}`);
  await changePassword({ userId, sessionId: (await sessionBehind(event))!.id }, input);
  return { changed: true };
});
