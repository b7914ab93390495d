import { SituationChangeSchema } from '#core/model/snap';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { changeSituation } from '../../../usecases/situations';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  return changeSituation(member, readId(event), await readInput(event, SituationChangeSchema));
});
