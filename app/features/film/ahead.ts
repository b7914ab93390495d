import { marksShelf } from '~/features/marks/shelf';
import { askAhead } from '~/features/session/ahead';
import type { SnapView } from '#core/model/snap-view';

/** The film of one snap. */
const ONE_SNAP = /^\/film\/(\d+)$/;

/** What could not be had ahead is had, or its want said, by whoever needs it. */
const LEAVE_IT = (): void => undefined;

/** What the film asks for first, at an address of its own: the snap, and for those who coach the games and the one it is of. */
export async function askFilmAhead(
  path: string,
  isStaff: Promise<boolean>,
  ask: <T>(url: string) => Promise<T>,
): Promise<void> {
  const [, id] = ONE_SNAP.exec(path) ?? [];
  if (id === undefined) return;
  // A snap is shown once it is known what waits on this machine.
  const shelf = marksShelf();
  // The browser takes its time to open it: that is under way before what reads it is here, which says so when it cannot be opened.
  (async () => shelf('readonly', () => undefined))().catch(LEAVE_IT);
  import('~/features/marks/box').then(({ BOX, openBox }) => askAhead(BOX, () => openBox(shelf))).catch(LEAVE_IT);
  const snap = ask<SnapView>(`/api/snaps/${id}`);
  if (!(await isStaff)) return;
  void ask('/api/games');
  const { gameId } = await snap;
  void ask(`/api/games/${gameId}/snaps`);
}
