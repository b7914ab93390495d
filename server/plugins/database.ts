import type { FSWatcher } from 'chokidar';
import { bringUpBooks, keepBooksUp } from '../book/keep';
import { closeDatabase, openDatabase } from '../db/database';
import { filmPlaces } from '../film/places';
import { noteLeftOver } from '../film/uploads';
import { watchFolders } from '../film/watched';
import { askFor, startQueue, stopQueue } from '../jobs/queue';
import { nowOpen } from '../opening';
import { loadDemo } from '../usecases/load-demo';

const BOOKS_EVERY_MS = 2000;

/**
 * Opens what requests stand on, in its order: the database, the demo program, uploads that became whole unnoticed, the job queue, the
 * folders cameras drop files into.
 */
export default defineNitroPlugin((nitro) => {
  const { databaseUrl, demo } = useRuntimeConfig();
  let watcher: FSWatcher | null = null;
  let stopBooks = (): void => undefined;
  const opening = openDatabase(databaseUrl).then(async () => {
    if (demo) await loadDemo({ enterable: true });
    await bringUpBooks();
    const places = filmPlaces();
    await noteLeftOver(places);
    await startQueue(databaseUrl, places);
    watcher = await watchFolders(places, askFor);
    nowOpen();
    stopBooks = keepBooksUp(BOOKS_EVERY_MS);
  });
  opening.catch((problem: Error) => {
    console.error(`The application cannot be opened: ${problem.message}`);
    process.exit(1);
  });
  nitro.hooks.hook('close', async () => {
    stopBooks();
    await watcher?.close();
    await stopQueue();
    await closeDatabase();
  });
});
