import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, vi } from 'vitest';
import { useFilm } from '~/features/film/store';
import { useMarks } from '~/features/marks/store';
import { useSession } from '~/features/session/store';
import { aMember } from './a-member';
import { FilmServer } from './film-server';

/** Before each test of a file: a coach at a server with film, on a clock that stands; `at.server` is the one of this test. */
export function withFilmServer(): { readonly server: FilmServer } {
  const at = { server: new FilmServer() };
  beforeEach(() => {
    setActivePinia(createPinia());
    vi.useFakeTimers();
    at.server = new FilmServer().serve();
    useSession().member = aMember();
  });
  afterEach(() => {
    vi.useRealTimers();
    vi.unstubAllGlobals();
  });
  return at;
}

/** The film, opened at a snap, or where it opens by itself. */
export async function openedFilm(id: number | null = 21) {
  const film = useFilm();
  await useMarks().resume();
  await film.open(id);
  return film;
}

/** Until everything is done that waits for no clock. */
export const settled = (): Promise<unknown> => vi.advanceTimersByTimeAsync(0);
