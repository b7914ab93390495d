import * as z from 'zod';
import { filterOfQuery } from '#core/grade/book/dimensions';
import { MEASURE_IDS } from '#core/grade/book/measures';
import { GRADED, requireMember } from '../../session/member';
import { PageSchema, readQuery } from '../../session/read-query';
import { readSnapsBehind } from '../../usecases/book';

const Wanted = PageSchema.extend({
  measure: z.enum(MEASURE_IDS).default('both'),
  /** Only snaps that can be seen on film. */
  film: z.literal('only').optional(),
});

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, GRADED);
  const { measure, film, ...page } = readQuery(event, Wanted);
  return readSnapsBehind(member, filterOfQuery(getQuery(event)), measure, page, film === 'only');
});
