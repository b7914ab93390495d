import { backupPlaces } from '../../../copy/backup-places';
import { requireMember } from '../../../session/member';
import { sendAway } from '../../../session/send-away';
import { readBackup } from '../../../usecases/backups';

/** A backup to be taken away. */
export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  const name = getRouterParam(event, 'name') ?? '';
  const file = await readBackup(member, name, backupPlaces());
  return sendAway(event, file, { name, type: 'application/x-tar' });
});
