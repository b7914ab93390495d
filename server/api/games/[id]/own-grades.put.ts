import * as z from 'zod';
import { requireMember } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { allowOwnGrades } from '../../../usecases/grading';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  const { ownGrades } = await readInput(event, z.object({ ownGrades: z.boolean() }));
  await allowOwnGrades(member, readId(event), ownGrades);
  return { ownGrades };
});
