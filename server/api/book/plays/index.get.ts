import * as z from 'zod';
import { DimensionSchema, filterOfQuery } from '#core/grade/book/dimensions';
import { requireMember, STAFF } from '../../../session/member';
import { readQuery } from '../../../session/read-query';
import { readPlayResults } from '../../../usecases/book-plays';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const { by } = readQuery(event, z.object({ by: DimensionSchema }));
  return readPlayResults(member, by, filterOfQuery(getQuery(event)));
});
