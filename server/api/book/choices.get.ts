import * as z from 'zod';
import { DimensionSchema, filterOfQuery } from '#core/grade/book/dimensions';
import { GRADED, requireMember } from '../../session/member';
import { readQuery } from '../../session/read-query';
import { readChoices } from '../../usecases/book';

/** One dimension, or several of them. */
const Of = z.object({ of: z.union([DimensionSchema.transform((d) => [d]), z.array(DimensionSchema).max(22)]) });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, GRADED);
  const { of } = readQuery(event, Of);
  return readChoices(member, of, filterOfQuery(getQuery(event)));
});
