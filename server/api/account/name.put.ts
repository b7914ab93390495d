import * as z from 'zod';
import { PersonNameSchema } from '#core/model/person-name';
import { EVERYBODY, requireMember } from '../../session/member';
import { BEFORE_LOG_IN, readInput } from '../../session/read-input';
import { changeName } from '../../usecases/accounts';

export default defineEventHandler(async (event) => {
  const { userId } = await requireMember(event, EVERYBODY);
  const { name } = await readInput(event, z.object({ name: PersonNameSchema }), BEFORE_LOG_IN);
  await changeName(userId, name);
  return { name };
});
