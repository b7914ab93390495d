import * as z from 'zod';
import { HuddleQuestionSchema } from '#core/model/huddle';
import { requireMember, STAFF } from '../../session/member';
import { readInput } from '../../session/read-input';
import { openHuddle } from '../../usecases/huddle';

const Opened = z.object({ gameId: z.int().positive(), question: HuddleQuestionSchema });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const { gameId, question } = await readInput(event, Opened);
  await openHuddle(member, gameId, question);
  return null;
});
