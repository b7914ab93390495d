import * as z from 'zod';
import { backupPlaces } from '../../../copy/backup-places';
import { filmPlaces } from '../../../film/places';
import { startQueue, stopQueue } from '../../../jobs/queue';
import { requireMember } from '../../../session/member';
import { readInput } from '../../../session/read-input';
import { restoreBackup } from '../../../usecases/restore';

/** Puts a backup in the place of everything that is here. */
export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  const { password } = await readInput(event, z.object({ password: z.string().min(1).max(200) }));
  const places = backupPlaces();
  const name = getRouterParam(event, 'name') ?? '';
  const start = (): Promise<void> => startQueue(places.databaseUrl, filmPlaces());
  return restoreBackup(member, { name, password }, places, { stop: stopQueue, start });
});
