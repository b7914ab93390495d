import * as z from 'zod';
import { SeasonNameSchema } from '#core/model/schedule';
import { RubricRefSchema } from '#core/model/grade';
import { requireMember } from '../session/member';
import { readInput } from '../session/read-input';
import { changeSeason } from '../usecases/seasons';

const Change = z.object({
  name: SeasonNameSchema.optional(),
  rubric: RubricRefSchema.optional(),
  passLine: z.number().min(0).max(1).nullable().optional(),
});

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  return changeSeason(member, await readInput(event, Change));
});
