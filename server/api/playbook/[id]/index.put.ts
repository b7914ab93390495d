import * as z from 'zod';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { saveDocument } from '../../../usecases/playbook';

const Save = z.object({
  text: z.string().min(1).max(400_000),
  base: z.int().min(0),
  draft: z.boolean().default(false),
});

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const { text, base, draft } = await readInput(event, Save);
  return saveDocument(member, readId(event), text, base, draft);
});
