import * as z from 'zod';
import { SaidSchema } from '#core/model/huddle';
import { GRADED, requireMember } from '../../session/member';
import { readInput } from '../../session/read-input';
import { joinHuddle } from '../../usecases/huddle';

const Place = z.object({ seat: SaidSchema.shape.seat });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, GRADED);
  await joinHuddle(member, (await readInput(event, Place)).seat);
  return null;
});
