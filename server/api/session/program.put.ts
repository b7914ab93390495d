import * as z from 'zod';
import { findMember, sessionBehind } from '../../session/member';
import { BEFORE_LOG_IN, readInput } from '../../session/read-input';

/** Changes to another program the same person belongs to. */
export default defineEventHandler(async (event) => {
  const session = await sessionBehind(event);
  if (!session) throw createError({ statusCode: 401, message: 'Log in first.' });
  const { id } = await readInput(event, z.object({ id: z.int().positive() }), BEFORE_LOG_IN);
  if (!(await findMember(session.userId, id)))
    throw createError({ statusCode: 403, message: 'You do not belong to this program.' });
  await session.update({ programId: id });
  return { programId: id };
});
