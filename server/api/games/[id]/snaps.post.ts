import * as z from 'zod';
import { CallSchema } from '#core/model/snap';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { addSnaps } from '../../../usecases/add-snaps';

const Snaps = z.object({ numbers: z.array(z.int().min(1).max(400)).min(1).max(400), call: CallSchema });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const { numbers, call } = await readInput(event, Snaps);
  return addSnaps(member, readId(event), numbers, call);
});
