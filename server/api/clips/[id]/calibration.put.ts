import { CalibrationInputSchema } from '#core/model/calibration';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { calibrateClip } from '../../../usecases/measuring';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  return calibrateClip(member, readId(event), await readInput(event, CalibrationInputSchema));
});
