import type { SnapView } from '#core/model/game';

/** The film of one snap. */
const ONE_SNAP = /^\/film\/(\d+)$/;

/** What the film asks for first, at an address of its own: the snap, and for those who coach the games and the one it is of. */
export async function askFilmAhead(
  path: string,
  isStaff: Promise<boolean>,
  ask: <T>(url: string) => Promise<T>,
): Promise<void> {
  const [, id] = ONE_SNAP.exec(path) ?? [];
  if (id === undefined) return;
  const snap = ask<SnapView>(`/api/snaps/${id}`);
  if (!(await isStaff)) return;
  void ask('/api/games');
  const { gameId } = await snap;
  void ask(`/api/games/${gameId}/snaps`);
}
