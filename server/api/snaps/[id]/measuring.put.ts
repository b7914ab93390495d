import * as z from 'zod';
import { MeasuringSchema } from '#core/model/measured';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { saveMeasuring } from '../../../usecases/measuring';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const Input = z.object({ revision: z.int().min(0), measuring: MeasuringSchema });
  const { revision, measuring } = await readInput(event, Input);
  return saveMeasuring(member, readId(event), revision, measuring);
});
