import * as z from 'zod';
import { requireMember, STAFF } from '../../session/member';
import { readId, readInput } from '../../session/read-input';
import { answerPlayer } from '../../usecases/said';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const { answer } = await readInput(event, z.object({ answer: z.string().trim().min(1).max(500) }));
  await answerPlayer(member, readId(event), answer);
  return { answer };
});
