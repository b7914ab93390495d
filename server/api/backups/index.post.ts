import * as z from 'zod';
import { backupPlaces } from '../../copy/backup-places';
import { requireMember } from '../../session/member';
import { readInput } from '../../session/read-input';
import { makeBackup } from '../../usecases/backups';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  const { film } = await readInput(event, z.object({ film: z.boolean() }));
  return makeBackup(member, film, backupPlaces());
});
