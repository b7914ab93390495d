import * as z from 'zod';
import { findMember } from '../../session/member';
import { readInput } from '../../session/read-input';

/** Changes to another program the same person belongs to. */
export default defineEventHandler(async (event) => {
  const { id } = await readInput(event, z.object({ id: z.int().positive() }));
  const { user } = await requireUserSession(event);
  if (!(await findMember(user.id, id)))
    throw createError({ statusCode: 403, message: 'You do not belong to this program.' });
  await setUserSession(event, { user: { id: user.id, programId: id } });
  return { programId: id };
});
