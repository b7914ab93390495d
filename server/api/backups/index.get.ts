import { backupPlaces } from '../../copy/backup-places';
import { requireMember } from '../../session/member';
import { listBackups } from '../../usecases/backups';

export default defineEventHandler(async (event) => listBackups(await requireMember(event, ['coach']), backupPlaces()));
