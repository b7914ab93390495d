import { backupPlaces } from '../../copy/backup-places';
import { requireMember } from '../../session/member';
import { readBackup } from '../../usecases/backups';

/** A backup to be taken away. */
export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  const name = getRouterParam(event, 'name') ?? '';
  const file = await readBackup(member, name, backupPlaces());
  setResponseHeaders(event, {
    'Content-Type': 'application/x-tar',
    'Content-Disposition': `attachment; filename="${name}"`,
    'Cache-Control': 'no-store',
  });
  return sendStream(event, file);
});
