import * as z from 'zod';
import { ROLE_IDS } from '#core/model/role';
import { requireMember } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { changePerson } from '../../../usecases/people';

const Change = z.object({ role: z.enum(ROLE_IDS), playerId: z.int().positive().nullable() });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  const id = readId(event);
  await changePerson(member, id, await readInput(event, Change));
  return { changed: true };
});
