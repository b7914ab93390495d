import * as z from 'zod';
import { requireMember } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { publishGame } from '../../../usecases/schedule';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  const { published } = await readInput(event, z.object({ published: z.boolean() }));
  await publishGame(member, readId(event), published);
  return { published };
});
