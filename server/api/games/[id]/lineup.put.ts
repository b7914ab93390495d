import * as z from 'zod';
import { LineupSchema } from '#core/film/log/lineup';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { saveLineup } from '../../../usecases/lineup';

const Input = z.object({ revision: z.int().min(0), lineup: LineupSchema, confirmed: z.boolean().default(false) });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  return saveLineup(member, readId(event), await readInput(event, Input));
});
