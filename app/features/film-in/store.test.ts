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
