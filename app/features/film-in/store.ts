import { howMany } from '#core/vocabulary/how-many';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { pairByTime, shotAt, type PairedShot, type Shot } from '#core/film/incoming/by-time';
import { readClipName } from '#core/film/incoming/name';
import { showsItsGame, type FilmKind, type FilmView } from '#core/model/film';
import type { Angle } from '#core/model/angle';
import type { SnapBody } from '#core/model/snap-body';
import { newestPlayed, type GameItem, type SnapItem } from '#core/model/game';
import { today } from '~/features/season/today';
import { firstCall } from '~/features/log/book-of-calls';
import { usePlaybook } from '~/features/playbook/store';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';

/** How often the list is asked for again while something is being worked on, milliseconds. */
const ASK_EVERY = 1500;

/** A change that somebody has to say yes to first. */
export interface Asked {
  readonly film: number;
  readonly says: string;
  readonly yes: () => Promise<boolean>;
}

/** What came in for one game, and the snaps it shows. */
export const useFilmIn = defineStore('film-in', () => {
  const playbook = usePlaybook();
  const games = shallowRef<GameItem[]>([]);
  const game = ref<number | null>(null);
  const kind = ref<FilmKind>('own game');
  const snaps = shallowRef<SnapItem[]>([]);
  const all = shallowRef<FilmView[]>([]);
  const free = ref<number | null>(null);
  /** Where a camera may drop files, on the machine that serves the application. */
  const folder = ref('');
  const problem = ref('');
  /** Which game film is of is known, so that some can be taken. */
  const opened = ref(false);
  const asked = shallowRef<Asked | null>(null);
  let timer: ReturnType<typeof setTimeout> | null = null;

  const which = computed(() => games.value.find((g) => g.id === game.value) ?? null);
  /** By the snap their names say, both angles together; what says none comes first, for somebody has to say it. */
  const films = computed(() =>
    all.value
      .filter((f) => f.gameId === game.value)
      .sort((a, b) => snapOf(a) - snapOf(b) || a.name.localeCompare(b.name, 'en')),
  );
  /** Numbers the films of this game name and nobody has logged. */
  const unlogged = computed(() => {
    const known = new Set(snaps.value.map((s) => s.number));
    const named = films.value.flatMap((f) =>
      f.snap || !showsItsGame(f.kind, which.value ?? {}) ? [] : (readClipName(f.name).snap ?? []),
    );
    return [...new Set(named)].filter((n) => n > 0 && !known.has(n)).sort((a, b) => a - b);
  });

  /** What films show that nobody has said it of, by when they were shot beside those of the other angle. */
  const byTime = computed(() => {
    const shots = films.value.flatMap((f) => {
      const at = showsItsGame(f.kind, which.value ?? {}) && f.state === 'ready' ? shotAt(f.name, f.facts?.shot) : null;
      return at === null || (!f.snap && saysSnap(f)) ? [] : [{ id: f.id, at, shows: showsOf(f) }];
    });
    const free = pairByTime(shots).filter((p) => !all.value.some((f) => isThere(f, p)));
    return free.flatMap(({ id, snap, angle, beside }) => {
      const snapId = snaps.value.find((s) => s.number === snap)?.id;
      return snapId === undefined ? [] : [{ id, snapId, snap, angle, beside }];
    });
  });
  const isThere = ({ gameId, snap }: FilmView, p: PairedShot): boolean =>
    gameId === game.value && snap?.number === p.snap && snap.angle === p.angle;

  const attempt = attempting(problem);

  const open = (): Promise<boolean> =>
    attempt(async () => {
      games.value = await request<GameItem[]>('/api/games');
      game.value ??= newestPlayed(games.value, today())?.id ?? null;
      await Promise.all([fetchFilms(), fetchSnaps()]);
      opened.value = true;
    });

  const reload = (): Promise<boolean> => attempt(fetchFilms);

  async function fetchFilms(): Promise<void> {
    if (timer) clearTimeout(timer);
    timer = null;
    const answer = await request<{ films: FilmView[]; free: number; folder: string }>('/api/films');
    const wereReady = all.value.filter((f) => f.state === 'ready').length;
    all.value = answer.films;
    free.value = answer.free;
    folder.value = answer.folder;
    if (answer.films.filter((f) => f.state === 'ready').length !== wereReady) await fetchSnaps();
    if (answer.films.some((f) => f.state === 'waiting' || f.state === 'working'))
      timer = setTimeout(() => void reload(), ASK_EVERY);
  }

  async function fetchSnaps(): Promise<void> {
    const of = game.value;
    const found = of === null ? [] : await request<SnapItem[]>(`/api/games/${of}/snaps`);
    if (game.value === of) snaps.value = found;
  }

  const choose = (id: number): Promise<boolean> =>
    attempt(async () => {
      game.value = id;
      if (kind.value === 'own game' || kind.value === 'opponent')
        kind.value = which.value?.theirs ? 'opponent' : 'own game';
      snaps.value = [];
      await fetchSnaps();
    });

  /** Adds a game; `theirs` is against whom the opponent plays, where it is one of his. */
  const addGame = (opponent: string, week: number, theirs: string | null = null): Promise<boolean> =>
    attempt(async () => {
      const made = await request<GameItem>('/api/games', { method: 'POST', body: { opponent, week, theirs } });
      games.value = [...games.value, made];
      game.value = made.id;
      kind.value = made.theirs ? 'opponent' : 'own game';
      snaps.value = [];
    });

  const steer = (id: number, what: 'cancel' | 'retry'): Promise<boolean> =>
    attempt(async () => {
      await request(`/api/films/${id}/work`, { method: 'PUT', body: { what } });
      await fetchFilms();
    });

  /** Shows a film with a snap; another one in its place is asked about. */
  const place = (id: number, snapId: number, angle: Angle, confirmed = false): Promise<boolean> =>
    attempt(async () => {
      asked.value = null;
      const answer = await request<{ placed: boolean; marks: number; keepsFrames: boolean }>(`/api/films/${id}`, {
        method: 'PUT',
        body: { snapId, angle, confirmed },
      });
      if (answer.placed) return void (await Promise.all([fetchFilms(), fetchSnaps()]));
      const frames = answer.keepsFrames
        ? 'its frame marks stay'
        : 'snap, contact and whistle have to be marked again, for it has another number of frames';
      const says = `That snap has a film from there already, with ${sayMarks(answer.marks)}. The grades stay; ${frames}.`;
      asked.value = { film: id, says, yes: () => place(id, snapId, angle, true) };
    });

  /** Shows every film with the snap the clock says, one after the other; the first that cannot be says why. */
  async function placeByTime(): Promise<void> {
    for (const { id, snapId, angle } of byTime.value) if (!(await place(id, snapId, angle))) return;
  }

  /** Deletes a film; one that marks hang on is asked about. */
  const remove = (id: number, confirmed = false): Promise<boolean> =>
    attempt(async () => {
      asked.value = null;
      const answer = await request<{ deleted: boolean; marks: number }>(`/api/films/${id}?confirmed=${confirmed}`, {
        method: 'DELETE',
      });
      if (answer.deleted) return fetchFilms();
      const says = `${sayMarks(answer.marks)} were given on this film. They and the numbers of its frames stay; the film is gone for good.`;
      asked.value = { film: id, says, yes: () => remove(id, true) };
    });

  /** Logs the snaps the films name, called as the last one was. */
  const logUnlogged = (): Promise<boolean> =>
    attempt(async () => {
      const last = snaps.value.at(-1);
      const call = last ? (await request<SnapBody>(`/api/snaps/${last.id}`)).call : firstCall(playbook);
      await request(`/api/games/${game.value}/snaps`, { method: 'POST', body: { numbers: unlogged.value, call } });
      await Promise.all([fetchFilms(), fetchSnaps()]);
    });

  function stop(): void {
    if (timer) clearTimeout(timer);
    timer = null;
  }

  return {
    games,
    game,
    kind,
    snaps,
    films,
    unlogged,
    byTime,
    placeByTime,
    free,
    folder,
    problem,
    opened,
    asked,
    open,
    reload,
    choose,
    addGame,
    steer,
    place,
    remove,
    logUnlogged,
    stop,
  };
});

/** Its name says which snap it shows. */
const saysSnap = ({ name }: FilmView): boolean => readClipName(name).snap !== null;
const showsOf = ({ snap }: FilmView): Shot['shows'] => snap && { snap: snap.number, angle: snap.angle as Angle };
const snapOf = (film: FilmView): number => film.snap?.number ?? readClipName(film.name).snap ?? 0;

const sayMarks = (count: number): string => howMany(count, 'grade');
