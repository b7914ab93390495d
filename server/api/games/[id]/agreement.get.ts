import * as z from 'zod';
import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { readQuery } from '../../../session/read-query';
import { readTwoGraders } from '../../../usecases/grading';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const game = readId(event);
  const { user } = readQuery(event, z.object({ user: z.coerce.number().int().min(1) }));
  return readTwoGraders(member, game, user);
});
