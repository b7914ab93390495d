import * as z from 'zod';
import { ProgramNameSchema } from '#core/model/account';
import { READERS, requireMember, sessionBehind } from '../../session/member';
import { readInput } from '../../session/read-input';
import { beginAnother } from '../../usecases/begin';

/** Makes another program and goes there. */
export default defineEventHandler(async (event) => {
  const { userId } = await requireMember(event, READERS);
  const { name } = await readInput(event, z.object({ name: ProgramNameSchema }));
  const made = await beginAnother(userId, name);
  await (await sessionBehind(event))!.update(made);
  return made;
});
