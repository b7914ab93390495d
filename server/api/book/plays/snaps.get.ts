import * as z from 'zod';
import { filterOfQuery } from '#core/grade/book/dimensions';
import { PLAY_COUNT_IDS } from '#core/grade/book/play-result';
import { requireMember, STAFF } from '../../../session/member';
import { PageSchema, readQuery } from '../../../session/read-query';
import { readPlaysBehind } from '../../../usecases/book-plays';

const Wanted = PageSchema.extend({ plays: z.enum(PLAY_COUNT_IDS).default('snaps') });

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const { plays, skip, take } = readQuery(event, Wanted);
  return readPlaysBehind(member, filterOfQuery(getQuery(event)), plays, { skip, take });
});
