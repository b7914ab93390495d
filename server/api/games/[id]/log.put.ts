import * as z from 'zod';
import { LogEntrySchema } from '#core/model/game';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { writeLog } from '../../../usecases/log';

const Input = z.object({
  entries: z.array(LogEntrySchema).min(1).max(400),
  confirmed: z.boolean().default(false),
  dryRun: z.boolean().default(false),
});

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  return writeLog(member, readId(event), await readInput(event, Input));
});
