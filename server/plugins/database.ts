import type { FSWatcher } from 'chokidar';
import { fillBook } from '../book/keep';
import { closeDatabase, openDatabase } from '../db/database';
import { filmPlaces } from '../film/places';
import { noteLeftOver } from '../film/uploads';
import { watchFolders } from '../film/watched';
import { askFor, startQueue, stopQueue } from '../jobs/queue';
import { nowOpen } from '../opening';
import { loadDemo } from '../usecases/load-demo';

/**
 * Opens what requests stand on, in its order: the database, the demo program, uploads that became whole unnoticed, the job queue, the
 * folders cameras drop files into.
 */
export default defineNitroPlugin((nitro) => {
  const { databaseUrl, demo } = useRuntimeConfig();
  let watcher: FSWatcher | null = null;
  const opening = openDatabase(databaseUrl).then(async () => {
    if (demo) await loadDemo({ enterable: true });
    await fillBook();
    const places = filmPlaces();
    await noteLeftOver(places);
    await startQueue(databaseUrl, places);
    watcher = await watchFolders(places, askFor);
    nowOpen();
  });
  opening.catch((problem: Error) => {
    console.error(`The application cannot be opened: ${problem.message}`);
    process.exit(1);
  });
  nitro.hooks.hook('close', async () => {
    await watcher?.close();
    await stopQueue();
    await closeDatabase();
  });
});
