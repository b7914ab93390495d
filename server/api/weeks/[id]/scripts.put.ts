import * as z from 'zod';
import { WEEK_PARTS } from '#core/model/week';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { writeWeek } from '../../../usecases/weeks';

const Sent = z.object({ revision: z.int().min(0), body: WEEK_PARTS.scripts });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  return writeWeek(member, readId(event), 'scripts', await readInput(event, Sent));
});
