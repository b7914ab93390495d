import * as z from 'zod';
import { requireMember } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { shelveDocument } from '../../../usecases/playbook';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  const change = await readInput(
    event,
    z.object({
      retired: z.boolean().optional(),
      opponent: z.string().max(60).nullable().optional(),
      players: z.boolean().optional(),
    }),
  );
  await shelveDocument(member, readId(event), change);
  return change;
});
