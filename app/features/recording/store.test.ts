import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { FilmView } from '#core/model/film';
import { CUTTING_HANDS, type CuttingHands } from './keys';
import { isRecording, useRecording } from './store';

const facts = { rate: 30, frames: 1800, duration: 60 } as FilmView['facts'];
const film = (id: number, change: Partial<FilmView> = {}): FilmView => ({
  id,
  name: `half ${id}.mp4`,
  kind: 'own game',
  state: 'ready',
  bytes: 1,
  gameId: 1,
  progress: 1,
  problem: '',
  facts,
  rewritten: [],
  cut: false,
  snap: null,
  ...change,
});
/** Still, a play of four seconds, the pile; twice. Ten a second. */
const stretch = (seconds: number, pace: number) => Array.from({ length: seconds * 10 }, (_, i) => pace + (i % 2) * 0.1);
const play = [...stretch(6, 2), ...stretch(2, 0.5), ...stretch(4, 6), ...stretch(4, 1.8)];
const MOTION = { perSecond: 10, values: [...play, ...play] };

let motion: unknown;
let films: FilmView[];
let asked: { url: string; body: { angle: string; cuts: unknown[] } }[];
let reachable: boolean;
beforeEach(() => {
  setActivePinia(createPinia());
  vi.useFakeTimers();
  [motion, asked, reachable] = [MOTION, [], true];
  films = [film(1), film(2), film(3, { name: 'snap 41 sideline.mp4', facts: { ...facts!, duration: 5 } })];
  vi.stubGlobal('$fetch', async (url: string, { body }: { body: { angle: string; cuts: unknown[] } }) => {
    if (!reachable) throw new Error('refused');
    if (url === '/api/films') return { films };
    if (url.endsWith('/motion')) return { motion };
    if (url.endsWith('/snaps')) return [{ number: 24 }];
    asked.push({ url, body });
    return { films: body.cuts.length };
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
async function opened() {
  const store = useRecording();
  await store.open(1);
  return store;
}

describe('a recording', () => {
  it('is a film that is ready, long, and no cut itself', () => {
    expect(films.map(isRecording)).toEqual([true, true, false]);
    expect(isRecording(film(1, { cut: true }))).toBe(false);
    expect(isRecording(film(1, { state: 'working' }))).toBe(false);
  });

  it('opens with what is suggested, numbered on from what is there', async () => {
    const store = await opened();
    expect(store.others.map((f) => f.id)).toEqual([2]);
    expect(store.first).toBe(42);
    expect(store.suggested.map((c) => [c.number, c.snap])).toEqual([
      [42, expect.closeTo(240, -1)],
      [43, expect.closeTo(720, -1)],
    ]);
  });

  it('asks again until it was looked at, and no more once it is left', async () => {
    motion = null;
    const store = await opened();
    expect(store.suggested).toEqual([]);
    motion = MOTION;
    await vi.advanceTimersByTimeAsync(1600);
    expect(store.suggested).toHaveLength(2);
    motion = null;
    await store.open(2);
    store.stop();
    motion = MOTION;
    await vi.advanceTimersByTimeAsync(5000);
    expect(store.motion).toBeNull();
  });

  it('takes suggestions and own cuts, numbers them, and drops them again', async () => {
    const store = await opened();
    store.take({ number: 1, from: 1200, snap: null, to: 1300 });
    store.takeAll();
    expect(store.cuts.map((c) => c.number)).toEqual([42, 43, 44]);
    expect(store.suggested).toEqual([]);
    store.startAt(7);
    expect(store.cuts.map((c) => c.number)).toEqual([7, 8, 9]);
    store.drop(store.cuts[0]!);
    expect(store.cuts.map((c) => c.number)).toEqual([7, 8]);
    expect([store.snapAt(1250), store.snapAt(1700)]).toEqual([true, false]);
    expect(store.cuts.at(-1)!.snap).toBe(1250);
  });

  it('drops a suggestion without taking it, and one that a cut covers', async () => {
    const store = await opened();
    store.dropSuggested(store.suggested[0]!);
    expect(store.suggested).toHaveLength(1);
    store.take({ number: 1, from: 600, snap: null, to: 900 });
    expect([store.suggested, store.cuts.length]).toEqual([[], 1]);
  });

  it('is made with the other angle, as far as that shows the same moments', async () => {
    const store = await opened();
    store.takeAll();
    store.other = 2;
    expect(store.otherCuts).toEqual([]);
    store.pairAt(10, 4);
    expect(store.shift).toBe(-6);
    expect(store.otherCuts.map((c) => c.number)).toEqual([43]);
    await store.make();
    expect(asked.map((a) => [a.url, a.body.angle, a.body.cuts.length])).toEqual([
      ['/api/films/1/cuts', 'end zone', 2],
      ['/api/films/2/cuts', 'sideline', 1],
    ]);
    expect([store.made, store.cuts]).toEqual([3, []]);
  });

  it('keeps its cuts when the server cannot be reached', async () => {
    const store = await opened();
    store.takeAll();
    reachable = false;
    expect(await store.make()).toBe(false);
    expect(store.problem).toContain('Your cuts are still here.');
    expect(store.cuts).toHaveLength(2);
    reachable = true;
    expect(await store.make()).toBe(true);
  });

  it('that is none of this program is said to be none', async () => {
    const store = useRecording();
    await store.open(77);
    expect([store.film, store.problem]).toEqual([null, 'There is no such film in your program.']);
  });
});

describe('the keys of the cutting place', () => {
  it('are each one key, and each does what it says it does', () => {
    expect(new Set(CUTTING_HANDS.map((h) => h.key)).size).toBe(CUTTING_HANDS.length);
    for (const one of CUTTING_HANDS) {
      const hands = new Proxy({} as Record<string, ReturnType<typeof vi.fn>>, {
        get: (all, name: string) => (all[name] ??= vi.fn()),
      });
      one.does(hands as unknown as CuttingHands, false);
      expect(Object.keys(hands)).toEqual([one.hand]);
    }
  });
});
