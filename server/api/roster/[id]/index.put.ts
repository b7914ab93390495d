import * as z from 'zod';
import { NewPlayerSchema } from '#core/roster/player';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { changePlayer } from '../../../usecases/roster';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const id = readId(event);
  return changePlayer(member, id, await readInput(event, NewPlayerSchema.extend({ left: z.boolean() })));
});
