import type { SnapView } from '#core/model/game';

/** The film of one snap. */
const ONE_SNAP = /^\/film\/(\d+)$/;

/** What the film asks for first, at an address of its own: the snap, and the game it is of. */
export async function askFilmAhead(path: string, ask: <T>(url: string) => Promise<T>): Promise<void> {
  const [, id] = ONE_SNAP.exec(path) ?? [];
  if (id === undefined) return;
  void ask('/api/games');
  const { gameId } = await ask<SnapView>(`/api/snaps/${id}`);
  void ask(`/api/games/${gameId}/snaps`);
}
