import { IDBFactory } from 'fake-indexeddb';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { resolveCall } from '#core/calls/resolve-call';
import { ALL_PLUS, type Grade } from '#core/model/grade';
import type { GameItem, SnapItem } from '#core/model/game';
import type { SnapView } from '#core/model/snap-view';
import type { ClipBody } from '#core/model/snap';
import { A_CALL } from '#core/testing/a-call';
import { anEntry, anItem } from '#core/testing/a-log';
import { need } from '#core/testing/need';
import type { GradesSent } from '#core/model/grade-entry';
import { useMarks } from '~/features/marks/store';
import { useSession } from '~/features/session/store';
import { MarksServer } from '~/testing/marks-server';
import { useFilm } from './store';

const RESOLUTION = need(resolveCall(A_CALL));
const MEN = RESOLUTION.assignments.map((a) => a.blocker);
const LATE: Grade = { ...ALL_PLUS, technique: 'minus', faults: ['left-late'] };
const ASKED = { block: 'drive', target: 'T', next: null, partners: [], role: 'alone', schools: [] } as const;
const game = (id: number, week: number): GameItem => ({ id, opponent: 'Terns', week, published: false, snaps: 2 });

/** A server with two games, in memory; each request can wait, be refused, or find nobody. */
let server: MarksServer;
let ownGrades = false;
let reachable: boolean;
/** Requests to addresses that end so do not get through. */
let cutOff: string | null;
let held: { url: string; go: () => void }[] | null;
let asked: string[];
const snapsOf = (of: number): SnapItem[] =>
  [1, 2].map((n) => {
    const id = of * 10 + n;
    const graded = server.of(id).map(({ blocker, grade }) => ({ blocker, grade }));
    const all = MEN.map((blocker) => ({ blocker, block: 'drive', partners: [] }));
    return { ...anItem(anEntry(n), all, graded), id };
  });
const clip: ClipBody = { framesPerSecond: 30, frames: 90, snapFrame: 24, contactFrame: 36, whistleFrame: 80 };
const view = (id: number): SnapView => ({
  ...anEntry(id % 10),
  id,
  gameId: Math.floor(id / 10),
  resolution: RESOLUTION,
  clips: [{ ...clip, id: 5, angle: 'end zone' }],
  revision: server.revisionOf(id),
  rubric: 'assignment-technique@1',
  grades: server.of(id).map((mark) => ({ ...mark, asked: { ...ASKED, partners: [], schools: [] } })),
  own: [],
  ownGrades,
  followed: false,
  notes: [],
  field: ownGrades ? [{ seat: 'C', name: 'Jory Pell', number: 55 }] : [],
});
function answerTo(method: string, url: string, body: Record<string, unknown>): unknown {
  const id = Number(/\d+/.exec(url)?.[0]);
  if (url === '/api/games') return [game(1, 4), game(2, 5), { ...game(3, 6), theirs: 'Millers' }];
  if (url.endsWith('/snaps')) return snapsOf(id);
  if (url.endsWith('/changed')) return [];
  if (url.endsWith('/grades')) return server.put(id, body as unknown as GradesSent);
  if (url.endsWith('/situation')) return { situation: { ...view(id).situation, ...body } };
  if (url.endsWith('/call'))
    return body.confirmed ? { affected: [], changed: true } : { affected: ['LT'], changed: false };
  if (url.startsWith('/api/clips')) return { ...clip, ...body };
  if (method === 'GET') return view(id);
  throw new Error(`nobody serves ${method} ${url}`);
}
beforeEach(() => {
  setActivePinia(createPinia());
  vi.useFakeTimers();
  ownGrades = false;
  [server, reachable, cutOff, held, asked] = [new MarksServer(), true, null, null, []];
  vi.stubGlobal(
    '$fetch',
    async (url: string, { method, body = {} }: { method: string; body?: Record<string, unknown> }) => {
      asked.push(`${method} ${url}`);
      if (held) await new Promise<void>((go) => held!.push({ url, go }));
      if (!reachable || (cutOff && url.endsWith(cutOff))) throw new Error('connection refused');
      return structuredClone(answerTo(method, url, body));
    },
  );
  useSession().member = {
    userId: 3,
    userName: 'Maren Quill',
    programId: 1,
    programName: 'Lanterns',
    role: 'coach',
    playerId: null,
  };
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});
async function opened(id: number | null = 21) {
  const film = useFilm();
  await useMarks().resume();
  await film.open(id);
  return film;
}
const settled = (): Promise<unknown> => vi.advanceTimersByTimeAsync(0);

describe('opening film', () => {
  it('opens the newest game at the first snap that is not graded', async () => {
    for (const man of MEN) server.set(21, man, ALL_PLUS);
    const film = await opened(null);
    expect([film.game, film.snap!.id]).toEqual([2, 22]);
  });

  it('opens a snap of another game with that game’s list', async () => {
    const film = await opened(11);
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
    held = [];
    const film = useFilm();
    const open = film.open(21);
    await settled();
    held.find((h) => h.url === '/api/snaps/21')!.go();
    await settled();
    expect([film.snap!.id, film.snaps, film.opening]).toEqual([21, [], 21]);
    const waiting = held.filter((h) => h.url !== '/api/snaps/21');
    held = null;
    for (const { go } of waiting) go();
    await open;
    expect([film.snap!.id, film.snaps.map((s) => s.id), film.opening]).toEqual([21, [21, 22], null]);
  });

  it('shows the marks that wait on this machine, however soon the snap is there', async () => {
    // The machine's store answers in turns of its own.
    vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout'] });
    vi.stubGlobal('indexedDB', new IDBFactory());
    const before = await opened();
    reachable = false;
    before.mark('LT', LATE);
    await expect.poll(() => useMarks().trouble).toContain('1 mark is kept on this machine');
    const { member } = useSession();
    setActivePinia(createPinia());
    useSession().member = member;
    cutOff = '/grades';
    reachable = true;
    void useMarks().resume();
    const film = useFilm();
    await film.open(21);
    expect(film.marks).toEqual({ LT: LATE });
  });

  it('says so when it cannot be opened, and opens once it can', async () => {
    reachable = false;
    const film = await opened();
    expect([film.snap, film.loadProblem]).toEqual([null, 'The server cannot be reached.']);
    reachable = true;
    expect(await film.open(21)).toBe(true);
    expect([film.snap!.id, film.loadProblem]).toEqual([21, '']);
  });
});

const markOf = (id: number, man: string): Grade | undefined => server.of(id).find((m) => m.blocker === man)?.grade;

describe('a mark', () => {
  it('stands at once, and is sent', async () => {
    const film = await opened();
    film.mark('LT', LATE);
    expect(film.marks.LT).toEqual(LATE);
    expect(film.snaps[0]!.graded).toEqual([{ blocker: 'LT', grade: LATE }]);
    await settled();
    expect([markOf(21, 'LT'), useMarks().waiting]).toEqual([LATE, []]);
  });

  it('is still there when its snap is opened again before it was sent', async () => {
    const film = await opened();
    reachable = false;
    film.mark('LT', LATE);
    await settled();
    reachable = true;
    await film.open(22);
    await film.open(21);
    expect(film.marks.LT).toEqual(LATE);
  });

  it('stands on what was seen: one given after another of mine is no quarrel', async () => {
    const film = await opened();
    film.mark('LT', LATE);
    await settled();
    film.change('LT', { note: 'late' });
    await settled();
    film.change('LT', { consequence: 'fatal' });
    await settled();
    expect(markOf(21, 'LT')).toEqual({ ...LATE, note: 'late', consequence: 'fatal' });
    expect(useMarks().aside).toEqual([]);
  });

  it('of somebody else is not overwritten: both stand side by side until one is chosen', async () => {
    const film = await opened();
    server.set(21, 'LT', ALL_PLUS);
    film.mark('LT', LATE);
    await settled();
    const [lies] = useMarks().aside;
    expect([markOf(21, 'LT'), lies!.entry.grade, lies!.aside.other]).toEqual([
      ALL_PLUS,
      LATE,
      expect.objectContaining({ grade: ALL_PLUS, by: 'Theo Brandt' }),
    ]);
    await film.takeTheirs(lies!);
    expect([film.marks.LT, useMarks().aside]).toEqual([ALL_PLUS, []]);
    server.set(21, 'LT', { ...ALL_PLUS, note: 'again' });
    film.mark('LT', LATE);
    await settled();
    await film.takeMine(useMarks().aside[0]!);
    expect([markOf(21, 'LT'), useMarks().waiting]).toEqual([LATE, []]);
  });

  it('is given to everybody who has none by one key, and taken back by one step', async () => {
    const film = await opened();
    film.mark('LT', LATE);
    film.restPlus();
    await settled();
    expect(server.of(21)).toHaveLength(MEN.length);
    expect(markOf(21, 'LT')).toEqual(LATE);
    await film.open(22);
    await film.undo();
    await settled();
    expect([film.snap!.id, server.of(21).map((m) => m.blocker)]).toEqual([21, ['LT']]);
    await film.undo();
    await settled();
    expect(server.of(21)).toEqual([]);
    await film.undo();
    expect(film.marks).toEqual({});
  });

  it('of a double stands with both men, each keeping his own', async () => {
    const film = await opened();
    film.mark('RG', LATE);
    film.changePair(['RG', 'RT'], { movement: 'done' });
    film.changePair(['RG', 'RT'], { left: 'RT', when: 'early' });
    await settled();
    const pair = { movement: 'done', hips: null, left: 'RT', when: 'early' };
    expect(markOf(21, 'RG')).toEqual({ ...LATE, pair });
    expect(markOf(21, 'RT')).toEqual({ ...ALL_PLUS, pair });
  });

  it('follows its rubric: wrong man takes the points, a minus leaves a beaten man’s', async () => {
    const film = await opened();
    film.snap = { ...film.snap!, rubric: 'points@1' };
    film.change('LT', { assignment: 'wrong' });
    film.change('LG', { technique: 'minus' });
    film.restPlus();
    const points = ['LT', 'LG', 'C'].map((man) => film.marks[man]!.points);
    expect(points).toEqual([0, 1, 3]);
  });

  it('is given by nobody who may only look', async () => {
    useSession().member = { userId: 5, userName: '', programId: 1, programName: '', role: 'player', playerId: 9 };
    const film = await opened(21);
    film.mark('LT', LATE);
    await settled();
    expect([film.marks, useMarks().waiting, asked.includes('GET /api/games')]).toEqual([{}, [], false]);
  });
});

describe('a game of theirs', () => {
  it('asks nothing of anybody, and nobody in it is marked', async () => {
    const film = await opened(31);
    expect([film.theirs, film.men, film.mayMark]).toEqual(['Millers', [], false]);
    film.mark('LT', LATE);
    film.restPlus();
    await settled();
    expect([server.of(31), film.marks]).toEqual([[], {}]);
  });

  it('is not the one that is opened by itself', async () => {
    expect((await opened(null)).game).toBe(2);
  });
});

describe('a player who grades himself', () => {
  it('marks his own place on a sheet of his own, and nobody else’s', async () => {
    useSession().member = { userId: 5, userName: '', programId: 1, programName: '', role: 'player', playerId: 9 };
    ownGrades = true;
    const film = await opened(21);
    expect([film.men, film.sheet, film.mayMark, film.readOnly]).toEqual([['C'], 'own', true, true]);
    film.restPlus();
    await settled();
    expect(server.of(21).map((m) => m.blocker)).toEqual(['C']);
  });
});

describe('the next snap', () => {
  it('is the one that was asked for last, whichever answer comes first', async () => {
    const film = await opened(21);
    held = [];
    const [one, two] = [film.open(22), film.open(21)];
    await expect.poll(() => held).toHaveLength(2);
    const [first, second] = held.map((h) => h.go);
    held = null;
    expect(film.opening).toBe(21);
    second!();
    await two;
    first!();
    await one;
    expect([film.snap!.id, film.opening]).toEqual([21, null]);
  });

  it('takes marks only once it is there: none goes to the snap before', async () => {
    const film = await opened(21);
    held = [];
    const going = film.open(22);
    await expect.poll(() => held).toHaveLength(1);
    expect(film.opening).toBe(22);
    const waiting = held[0]!;
    held = null;
    waiting.go();
    await going;
    film.mark('LT', LATE);
    await settled();
    expect([server.of(21), markOf(22, 'LT')]).toEqual([[], LATE]);
  });
});

describe('what is known of the snap', () => {
  it('is corrected, and not shown with another snap when it comes late', async () => {
    const film = await opened();
    await film.changeSituation({ gain: 9 });
    expect(film.snap!.situation.gain).toBe(9);
    held = [];
    const late = film.changeSituation({ gain: 3 });
    await expect.poll(() => held).toHaveLength(1);
    const waiting = held[0]!;
    held = null;
    await film.open(22);
    waiting.go();
    await late;
    expect([film.snap!.id, film.snap!.situation.gain]).toEqual([22, 0]);
  });

  it('has its frames marked, and its call changed once that was said yes to', async () => {
    const film = await opened();
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
