import * as z from 'zod';
import { SHELVES } from '#core/calls/playbook';
import { requireMember } from '../../session/member';
import { readInput } from '../../session/read-input';
import { addDocuments } from '../../usecases/playbook';

const Texts = z.object({
  texts: z
    .array(
      z.object({
        shelf: z.enum(SHELVES),
        text: z.string().min(1).max(400_000),
        opponent: z.string().max(60).nullish(),
      }),
    )
    .min(1)
    .max(200),
  overwrite: z.boolean().default(false),
});

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  const { texts, overwrite } = await readInput(event, Texts);
  return addDocuments(member, texts, overwrite);
});
