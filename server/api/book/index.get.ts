import * as z from 'zod';
import { DimensionSchema, filterOfQuery } from '#core/grade/book/dimensions';
import { GRADED, requireMember } from '../../session/member';
import { readQuery } from '../../session/read-query';
import { readBook } from '../../usecases/book';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, GRADED);
  const { by } = readQuery(event, z.object({ by: DimensionSchema }));
  return readBook(member, by, filterOfQuery(getQuery(event)));
});
