import * as z from 'zod';
import { FindingSchema } from '#core/model/finding';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { writeFinding } from '../../../usecases/findings';

const Sent = z.object({ revision: z.int().min(0), finding: FindingSchema });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  return writeFinding(member, readId(event), await readInput(event, Sent));
});
