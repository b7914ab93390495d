import * as z from 'zod';
import { requireMember } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { acknowledge } from '../../../usecases/said';

const Sent = z.object({ snapId: z.int().nullable(), question: z.string().trim().max(500) });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['player']);
  return acknowledge(member, readId(event), await readInput(event, Sent));
});
