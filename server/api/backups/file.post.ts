import { backupPlaces } from '../../copy/backup-places';
import { requireMember } from '../../session/member';
import { bringBackup } from '../../usecases/restore';

/** A backup that lay somewhere else. */
export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  return bringBackup(member, event.node.req, backupPlaces());
});
