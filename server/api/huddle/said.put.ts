import * as z from 'zod';
import { SaidSchema } from '#core/model/huddle';
import { GRADED, requireMember } from '../../session/member';
import { readInput } from '../../session/read-input';
import { sayInHuddle } from '../../usecases/huddle';

const Sent = z.object({ number: z.int().min(1), said: SaidSchema });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, GRADED);
  const { number, said } = await readInput(event, Sent);
  await sayInHuddle(member, number, said);
  return null;
});
