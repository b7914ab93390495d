import { useMarks } from '~/features/marks/store';
import { unsentOf } from '~/features/measure/box';
import { dropSent } from '~/features/night/box';
import { clearWaiting } from '~/features/quiz/box';
import { useQuiz } from '~/features/quiz/store';
import { useSession } from './store';

/** Kept when somebody logs out: what says nothing of anybody. */
const STAYS = ['violet-chalk-theme'];

/**
 * Logs out and clears this machine: marks that have not arrived stay, locked for him alone, and so do snaps tapped at a game and what was
 * measured, which name nobody;
 * everything else of his goes.
 */
export async function leave(): Promise<void> {
  const [session, marks] = [useSession(), useMarks()];
  await marks.lock();
  if (session.member?.role === 'player') await useQuiz().sendAgain();
  if (session.member && (await unsentOf(session.member.userId).catch(() => [])).length)
    await (await import('~/features/measure/store')).useMeasure().sendAgain();
  try {
    await session.logOut();
  } catch (problem) {
    // He is still logged in: what waits goes on waiting.
    await marks.resume();
    throw problem;
  }
  await clearWaiting();
  await dropSent();
  for (const key of Object.keys(localStorage)) if (!STAYS.includes(key)) localStorage.removeItem(key);
  window.location.assign('/login');
}
