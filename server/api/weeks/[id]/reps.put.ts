import { RepMarkSchema } from '#core/model/script';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { markRep } from '../../../usecases/weeks';

const Sent = RepMarkSchema.pick({ script: true, rep: true }).extend({
  mark: RepMarkSchema.pick({ good: true, missed: true }).nullable(),
});

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  return markRep(member, readId(event), await readInput(event, Sent));
});
