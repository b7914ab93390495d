import { useMarks } from '~/features/marks/store';
import { useSession } from './store';

/** Kept when somebody logs out: what says nothing of anybody. */
const STAYS = ['violet-chalk-theme'];

/** Logs out and clears this machine: marks that have not arrived stay, locked for him alone; everything else of his goes. */
export async function leave(): Promise<void> {
  const [session, marks] = [useSession(), useMarks()];
  await marks.lock();
  try {
    await session.logOut();
  } catch (problem) {
    // He is still logged in: what waits goes on waiting.
    await marks.resume();
    throw problem;
  }
  for (const key of Object.keys(localStorage)) if (!STAYS.includes(key)) localStorage.removeItem(key);
  window.location.assign('/login');
}
