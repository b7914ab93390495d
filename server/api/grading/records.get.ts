import * as z from 'zod';
import { requireMember, STAFF } from '../../session/member';
import { readQuery } from '../../session/read-query';
import { listRecords } from '../../usecases/records';

const Page = z.object({
  game: z.coerce.number().int().min(1).nullable().default(null),
  skip: z.coerce.number().int().min(0).max(10_000_000).default(0),
  take: z.coerce.number().int().min(1).max(1000).default(500),
});

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  return listRecords(member, readQuery(event, Page));
});
