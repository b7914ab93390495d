import { closeDatabase, openDatabase } from '../db/database';
import { loadDemo } from '../usecases/load-demo';

export default defineNitroPlugin((nitro) => {
  const { databaseUrl, demo } = useRuntimeConfig();
  const opening = openDatabase(databaseUrl).then(async () => {
    if (demo) await loadDemo();
  });
  opening.catch((problem: Error) => {
    console.error(`The database cannot be opened: ${problem.message}`);
    process.exit(1);
  });
  nitro.hooks.hook('close', closeDatabase);
});
