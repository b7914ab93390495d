import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { FilmView } from '#core/model/film';
import { useFilmIn } from './store';

const film = (id: number, change: Partial<FilmView> = {}): FilmView => ({
  id,
  name: `snap ${id} sideline.mp4`,
  kind: 'own game',
  state: 'ready',
  bytes: 1,
  gameId: 1,
  progress: 1,
  problem: '',
  facts: null,
  rewritten: [],
  cut: false,
  snap: null,
  ...change,
});
const snap = (number: number) => ({ id: 100 + number, number, scheme: 'power', side: 'right', asked: [], graded: [] });
const GAMES = [
  { id: 1, opponent: 'Fennick Otters', week: 5, published: false, snaps: 1 },
  { id: 2, opponent: 'Graymoor Millers', week: 6, published: false, snaps: 0 },
];

/** What each address answers; a function may answer later, or throw. */
let answers: Record<string, unknown>;
let asked: string[];
const fail = (status: number | undefined, message: string) => () => {
  throw Object.assign(new Error(message), { status, data: { message } });
};
beforeEach(() => {
  setActivePinia(createPinia());
  vi.useFakeTimers();
  asked = [];
  answers = {
    'GET /api/games': GAMES,
    'GET /api/films': { films: [film(1), film(2)], free: 5e9, folder: '/film/watched/x' },
    'GET /api/games/1/snaps': [snap(1)],
    'GET /api/games/2/snaps': [],
  };
  vi.stubGlobal('$fetch', async (url: string, { method }: { method: string }) => {
    asked.push(`${method} ${url}`);
    const answer = answers[`${method} ${url}`];
    if (answer === undefined) throw new Error(`nobody serves ${method} ${url}`);
    return typeof answer === 'function' ? await (answer as () => unknown)() : answer;
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

describe('what came in', () => {
  it('opens at the newest game, and takes film only then', async () => {
    const store = useFilmIn();
    expect(store.opened).toBe(false);
    await store.open();
    expect([store.opened, store.game, store.folder]).toEqual([true, 2, '/film/watched/x']);
    await store.choose(1);
    expect(store.films.map((f) => f.id)).toEqual([1, 2]);
    expect(store.unlogged).toEqual([2]);
  });

  it('takes the kind of film that fits the game, and shows the snaps of a game of theirs', async () => {
    const store = useFilmIn();
    const made = { id: 3, opponent: 'Terns', theirs: 'Millers', week: 5, published: false, snaps: 0 };
    answers['POST /api/games'] = made;
    await store.open();
    store.kind = 'opponent';
    expect(await store.addGame('Terns', 5, 'Millers')).toBe(true);
    expect([store.game, store.kind]).toEqual([3, 'opponent']);
    answers['GET /api/games/3/snaps'] = [];
    answers['GET /api/films'] = {
      films: [film(7, { gameId: 3, kind: 'opponent' }), film(8, { gameId: 3 })],
      ...{ free: 5e9, folder: '' },
    };
    await store.reload();
    expect(store.unlogged).toEqual([7]);
    await store.choose(1);
    expect(store.kind).toBe('own game');
    store.kind = 'practice';
    await store.choose(3);
    expect(store.kind).toBe('practice');
  });

  it('says so when it cannot be opened, and can be opened again', async () => {
    const store = useFilmIn();
    answers['GET /api/games'] = fail(undefined, 'refused');
    expect(await store.open()).toBe(false);
    expect([store.opened, store.problem]).toEqual([false, 'The server cannot be reached.']);
    answers['GET /api/games'] = GAMES;
    expect(await store.open()).toBe(true);
    expect(store.problem).toBe('');
  });

  it('never shows the snaps of one game under another, however late they come', async () => {
    const store = useFilmIn();
    await store.open();
    let answerLate: (snaps: unknown) => void = () => undefined;
    answers['GET /api/games/1/snaps'] = () => new Promise((resolve) => (answerLate = resolve));
    const first = store.choose(1);
    await store.choose(2);
    answerLate([snap(1)]);
    await first;
    expect([store.game, store.snaps]).toEqual([2, []]);
  });

  it('is asked for again while something is worked on, and no longer', async () => {
    const store = useFilmIn();
    answers['GET /api/films'] = { films: [film(1, { state: 'working', gameId: 2 })], free: 1, folder: '' };
    await store.open();
    const count = () => asked.filter((a) => a === 'GET /api/films').length;
    await vi.advanceTimersByTimeAsync(1600);
    expect(count()).toBe(2);
    answers['GET /api/films'] = { films: [film(1, { gameId: 2 })], free: 1, folder: '' };
    await vi.advanceTimersByTimeAsync(1600);
    await vi.advanceTimersByTimeAsync(20_000);
    expect(count()).toBe(3);
    expect(store.films[0]!.state).toBe('ready');
  });

  it('stops asking when the page is left', async () => {
    const store = useFilmIn();
    answers['GET /api/films'] = { films: [film(1, { state: 'waiting' })], free: 1, folder: '' };
    await store.open();
    store.stop();
    const before = asked.length;
    await vi.advanceTimersByTimeAsync(20_000);
    expect(asked).toHaveLength(before);
  });

  it('a film in another’s place is asked about, and placed on a yes only', async () => {
    const store = useFilmIn();
    await store.open();
    answers['PUT /api/films/1'] = { placed: false, marks: 1, keepsFrames: false };
    await store.place(1, 101, 'sideline');
    expect(store.asked).toMatchObject({
      film: 1,
      says: expect.stringContaining('with 1 grade. The grades stay; snap, contact'),
    });
    answers['PUT /api/films/1'] = { placed: true, marks: 1, keepsFrames: false };
    await store.asked!.yes();
    expect(store.asked).toBeNull();
    expect(asked.filter((a) => a === 'PUT /api/films/1')).toHaveLength(2);
  });

  it('what the server refuses is said, and nothing else changes', async () => {
    const store = useFilmIn();
    await store.open();
    await store.choose(1);
    answers['DELETE /api/films/1?confirmed=false'] = fail(403, 'Your role does not include this.');
    expect(await store.remove(1)).toBe(false);
    expect([store.problem, store.films.length]).toEqual(['Your role does not include this.', 2]);
  });

  it('films of opponents and of practice ask for no snaps of ours', async () => {
    const store = useFilmIn();
    answers['GET /api/films'] = {
      films: [film(7, { kind: 'opponent' }), film(8, { kind: 'practice' }), film(9)],
      free: 1,
      folder: '',
    };
    await store.open();
    await store.choose(1);
    expect(store.unlogged).toEqual([9]);
  });
});

describe('films that say no snap', () => {
  const START = Date.UTC(2026, 9, 3, 14, 0, 0);
  const shot = (snapNumber: number, late = 0): string =>
    new Date(START + 1000 * (40 * snapNumber + late)).toISOString();
  const facts = (at: string): FilmView['facts'] => ({
    ...{ container: 'mov', codec: 'h264', width: 960, height: 540, rate: 30, even: true, frames: 90, duration: 3 },
    ...{ pixels: 'yuv420p', keyEvery: 15, sound: false, shot: at },
  });
  const NUMBERS = [1, 2, 3, 4];
  const placed = NUMBERS.map((n) =>
    film(n, { name: `A${n}.mp4`, facts: facts(shot(n)), snap: { id: 100 + n, number: n, angle: 'sideline' } }),
  );
  /** A camera whose clock is an hour behind. */
  const strange = NUMBERS.map((n) => film(10 + n, { name: 'MOV.mp4', facts: facts(shot(n, 2 - 3600)) }));
  beforeEach(() => {
    answers['GET /api/films'] = { films: [...placed, ...strange], free: 5e9, folder: '' };
    answers['GET /api/games/1/snaps'] = NUMBERS.map(snap);
  });

  it('are found by the clock beside those of the other angle, and shown together', async () => {
    const store = useFilmIn();
    await store.open();
    await store.choose(1);
    expect(store.byTime).toEqual(
      NUMBERS.map((n) => ({ id: 10 + n, snapId: 100 + n, snap: n, angle: 'end zone', beside: n })),
    );
    for (const n of NUMBERS) answers[`PUT /api/films/${10 + n}`] = { placed: true, marks: 0, keepsFrames: true };
    await store.placeByTime();
    expect(asked.filter((a) => a.startsWith('PUT'))).toEqual(NUMBERS.map((n) => `PUT /api/films/${10 + n}`));
  });

  it('are left alone where their snap has film from there already, or the first of them cannot be shown', async () => {
    const taken = film(30, { name: 'B.mp4', snap: { id: 102, number: 2, angle: 'end zone' } });
    answers['GET /api/films'] = { films: [...placed, ...strange, taken], free: 5e9, folder: '' };
    const store = useFilmIn();
    await store.open();
    await store.choose(1);
    expect(store.byTime.map((p) => p.snap)).toEqual([1, 3, 4]);
    answers['PUT /api/films/11'] = fail(404, 'There is no such film.');
    await store.placeByTime();
    expect([asked.filter((a) => a.startsWith('PUT')).length, store.problem]).toEqual([1, 'There is no such film.']);
  });
});
