import { requireMember } from '../session/member';
import { PageSchema, readQuery } from '../session/read-query';
import { listAudit } from '../usecases/audited';

/** What was done with people and their records, the latest first. */
export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  return listAudit(member, readQuery(event, PageSchema));
});
