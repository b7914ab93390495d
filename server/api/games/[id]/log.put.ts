import * as z from 'zod';
import { LogEntrySchema } from '#core/model/game';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { writeLog } from '../../../usecases/log';

const Input = z
  .object({
    entries: z.array(LogEntrySchema).max(400),
    /** Snaps that are taken out with it, by their numbers. */
    without: z.array(z.int().min(1).max(400)).max(400).default([]),
    confirmed: z.boolean().default(false),
    dryRun: z.boolean().default(false),
  })
  .refine(({ entries, without }) => entries.length + without.length > 0, {
    path: ['entries'],
    message: 'at least one snap',
  });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  return writeLog(member, readId(event), await readInput(event, Input));
});
