import * as z from 'zod';
import { filterOfQuery } from '#core/grade/book/dimensions';
import { MEASURE_IDS } from '#core/grade/book/measures';
import { requireMember } from '../../session/member';
import { readQuery } from '../../session/read-query';
import { readSnapsBehind } from '../../usecases/book';

const Page = z.object({
  measure: z.enum(MEASURE_IDS).default('both'),
  skip: z.coerce.number().int().min(0).max(1_000_000).default(0),
  take: z.coerce.number().int().min(1).max(200).default(50),
});

export default defineEventHandler(async (event) => {
  const member = await requireMember(event);
  const { measure, skip, take } = readQuery(event, Page);
  return readSnapsBehind(member, filterOfQuery(getQuery(event)), measure, { skip, take });
});
