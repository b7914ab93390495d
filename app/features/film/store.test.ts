import { IDBFactory } from 'fake-indexeddb';
import { createPinia, setActivePinia } from 'pinia';
import { describe, expect, it, vi } from 'vitest';
import { ALL_PLUS, type Grade } from '#core/model/grade';
import type { SnapView } from '#core/model/snap-view';
import { A_CALL } from '#core/testing/a-call';
import { useMarks } from '~/features/marks/store';
import { useSession } from '~/features/session/store';
import { MEN } from '~/testing/film-server';
import { openedFilm, settled, withFilmServer } from '~/testing/opened-film';
import { useFilm } from './store';

const LATE: Grade = { ...ALL_PLUS, technique: 'minus', faults: ['left-late'] };
const at = withFilmServer();

describe('opening film', () => {
  it('opens the newest game at the first snap that is not graded', async () => {
    for (const man of MEN) at.server.marks.set(21, man, ALL_PLUS);
    const film = await openedFilm(null);
    expect([film.game, film.snap!.id]).toEqual([2, 22]);
  });

  it('opens a snap of another game with that game’s list', async () => {
    const film = await openedFilm(11);
    expect([film.game, film.snaps.map((s) => s.id)]).toEqual([1, [11, 12]]);
    expect(await film.openGame(2)).toBe(true);
    expect(film.snap!.id).toBe(21);
  });

  it('opens within the cut that is looked at', async () => {
    const film = useFilm();
    film.cut = { down: ['2nd'] };
    await film.open(null);
    expect([film.inCut, film.snap!.id]).toEqual([[], 21]);
    film.cut = { down: ['1st'] };
    expect(film.inCut.map((s) => s.id)).toEqual([21, 22]);
  });

  it('shows the film as soon as its snap is there, and is open once the list is, whose order "next" goes by', async () => {
    at.server.held = [];
    const film = useFilm();
    const open = film.open(21);
    await settled();
    at.server.held.find((h) => h.url === '/api/snaps/21')!.go();
    await settled();
    expect([film.snap!.id, film.snaps, film.opening]).toEqual([21, [], 21]);
    const waiting = at.server.held.filter((h) => h.url !== '/api/snaps/21');
    at.server.held = null;
    for (const { go } of waiting) go();
    await open;
    expect([film.snap!.id, film.snaps.map((s) => s.id), film.opening]).toEqual([21, [21, 22], null]);
  });

  it('shows the marks that wait on this machine, however soon the snap is there', async () => {
    // The machine's store answers in turns of its own.
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    vi.stubGlobal('indexedDB', new IDBFactory());
    const before = await openedFilm();
    at.server.reachable = false;
    before.mark('LT', LATE);
    await expect.poll(() => useMarks().trouble).toContain('1 mark is kept on this machine');
    const { member } = useSession();
    setActivePinia(createPinia());
    useSession().member = member;
    at.server.cutOff = '/grades';
    at.server.reachable = true;
    void useMarks().resume();
    const film = useFilm();
    await film.open(21);
    expect(film.marks).toEqual({ LT: LATE });
  });

  it('says so when it cannot be opened, and opens once it can', async () => {
    at.server.reachable = false;
    const film = await openedFilm();
    expect([film.snap, film.loadProblem]).toEqual([null, 'The server cannot be reached.']);
    at.server.reachable = true;
    expect(await film.open(21)).toBe(true);
    expect([film.snap!.id, film.loadProblem]).toEqual([21, '']);
  });
});

describe('a game of theirs', () => {
  it('asks nothing of anybody, and nobody in it is marked', async () => {
    const film = await openedFilm(31);
    expect([film.theirs, film.men, film.mayMark]).toEqual(['Millers', [], false]);
    film.mark('LT', LATE);
    film.restPlus();
    await settled();
    expect([at.server.marks.of(31), film.marks]).toEqual([[], {}]);
  });

  it('is not the one that is opened by itself', async () => {
    expect((await openedFilm(null)).game).toBe(2);
  });
});

describe('the next snap', () => {
  it('is the one that was asked for last, whichever answer comes first', async () => {
    const film = await openedFilm(21);
    at.server.held = [];
    const [one, two] = [film.open(22), film.open(21)];
    await expect.poll(() => at.server.held).toHaveLength(2);
    const [first, second] = at.server.held.map((h) => h.go);
    at.server.held = null;
    expect(film.opening).toBe(21);
    second!();
    await two;
    first!();
    await one;
    expect([film.snap!.id, film.opening]).toEqual([21, null]);
  });

  it.each([[[0, 1]], [[1, 0]]])(
    'is of the game that was asked for last, whichever list comes first: %j',
    async (order) => {
      const film = useFilm();
      at.server.held = [];
      const goOn = async (url: string): Promise<void> => {
        await expect.poll(() => at.server.held!.map((h) => h.url)).toContain(url);
        at.server.held!.find((h) => h.url === url)!.go();
      };
      const first = film.open(null);
      await goOn('/api/games');
      await expect.poll(() => at.server.held!.map((h) => h.url)).toContain('/api/games/2/snaps');
      const second = film.openGame(1);
      const lists = ['/api/games/2/snaps', '/api/games/1/snaps'];
      for (const n of order) {
        await goOn(lists[n]!);
        await settled();
      }
      const waiting = at.server.held;
      at.server.held = null;
      for (const { go } of waiting) go();
      await Promise.all([first, second]);
      expect([film.game, film.snaps.map((s) => s.id), film.snap!.id]).toEqual([1, [11, 12], 11]);
    },
  );

  it('is of the game that was asked for last, however late the snap of another one comes', async () => {
    const film = await openedFilm(21);
    at.server.held = [];
    const late = film.open(31);
    await expect.poll(() => at.server.held).toHaveLength(1);
    const { go } = at.server.held[0]!;
    at.server.held = null;
    await film.openGame(1);
    go();
    await late;
    expect([film.game, film.snaps.map((s) => s.id), film.snap!.id]).toEqual([1, [11, 12], 11]);
  });

  it('takes marks only once it is there: none goes to the snap before', async () => {
    const film = await openedFilm(21);
    at.server.held = [];
    const going = film.open(22);
    await expect.poll(() => at.server.held).toHaveLength(1);
    expect(film.opening).toBe(22);
    const waiting = at.server.held[0]!;
    at.server.held = null;
    waiting.go();
    await going;
    film.mark('LT', LATE);
    await settled();
    expect([at.server.marks.of(21), at.server.markOf(22, 'LT')]).toEqual([[], LATE]);
  });
});

describe('what is known of the snap', () => {
  it('is corrected, and not shown with another snap when it comes late', async () => {
    const film = await openedFilm();
    await film.changeSituation({ gain: 9 });
    expect(film.snap!.situation.gain).toBe(9);
    at.server.held = [];
    const late = film.changeSituation({ gain: 3 });
    await expect.poll(() => at.server.held).toHaveLength(1);
    const waiting = at.server.held[0]!;
    at.server.held = null;
    await film.open(22);
    waiting.go();
    await late;
    expect([film.snap!.id, film.snap!.situation.gain]).toEqual([22, 0]);
  });

  it('has its frames marked, and its call changed once that was said yes to', async () => {
    const film = await openedFilm();
    await film.markFrame(5, 'contact', 40);
    expect(film.snap!.clips[0]).toMatchObject({ contactFrame: 40, snapFrame: 24 });
    expect(await film.changeCall({ ...A_CALL, side: 'left' }, false)).toEqual(['LT']);
    expect(await film.changeCall({ ...A_CALL, side: 'left' }, true)).toEqual([]);
    film.setNotes(22, [{ ...NOTE, id: 2 }]);
    expect(film.snap!.notes).toEqual([]);
    film.setNotes(21, [NOTE]);
    expect(film.snap!.notes).toEqual([NOTE]);
  });
});
const NOTE: SnapView['notes'][number] = {
  id: 1,
  clipId: 5,
  frame: 1,
  until: 2,
  text: 'Here',
  shapes: [],
  players: false,
  by: 'Maren Quill',
  revision: 1,
};
