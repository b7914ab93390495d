import { Listener } from '../live/listener';
import { watchers } from '../live/watchers';

/** How often it is looked whether who watches still may, ms. */
const SWEEP_MS = 30_000;

/** Hears what is announced in any process, and tells those who watch through this one. */
export default defineNitroPlugin((nitro) => {
  const { databaseUrl } = useRuntimeConfig();
  const listener = new Listener(
    databaseUrl,
    (programId) => watchers.tell(programId),
    () => watchers.tellAll(),
  );
  void listener.start();
  const sweeping = setInterval(() => void watchers.sweep(), SWEEP_MS);
  nitro.hooks.hook('close', async () => {
    clearInterval(sweeping);
    await listener.stop();
  });
});
