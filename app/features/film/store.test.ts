import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { resolveCall } from '#core/calls/resolve-call';
import { ALL_PLUS, type Grade } from '#core/model/grade';
import type { GameItem, SnapItem, SnapView } from '#core/model/game';
import type { ClipBody } from '#core/model/snap';
import { A_CALL } from '#core/testing/a-call';
import { anEntry, anItem } from '#core/testing/a-log';
import { need } from '#core/testing/need';
import { useSession } from '~/features/session/store';
import { useFilm } from './store';

const RESOLUTION = need(resolveCall(A_CALL));
const MEN = RESOLUTION.assignments.map((a) => a.blocker);
const LATE: Grade = { assignment: 'right', technique: 'minus', fault: 'left-late', note: '' };
const game = (id: number, week: number): GameItem => ({ id, opponent: 'Terns', week, published: false, snaps: 2 });

/** A server with two games, in memory; each request can wait, be refused, or find nobody. */
let marks: Map<number, Map<string, Grade>>;
let reachable: boolean;
let refusal: { status: number; message: string } | null;
let held: { url: string; go: () => void }[] | null;
let asked: string[];
const snapsOf = (of: number): SnapItem[] =>
  [1, 2].map((n) => {
    const id = of * 10 + n;
    const graded = [...(marks.get(id) ?? [])].map(([blocker, grade]) => ({ blocker, grade }));
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
  grades: [...(marks.get(id) ?? [])].map(([blocker, grade]) => ({ blocker, grade })),
  notes: [],
  field: [],
});
function answerTo(method: string, url: string, body: Record<string, unknown>): unknown {
  const id = Number(/\d+/.exec(url)?.[0]);
  if (url === '/api/games') return [game(1, 4), game(2, 5)];
  if (url.endsWith('/snaps')) return snapsOf(id);
  if (url.endsWith('/changed')) return [];
  if (url.endsWith('/grades')) {
    const own = marks.get(id) ?? new Map<string, Grade>();
    for (const { blocker, grade } of body.entries as { blocker: string; grade: Grade | null }[]) {
      if (grade) own.set(blocker, grade);
      else own.delete(blocker);
    }
    marks.set(id, own);
    return { saved: 1 };
  }
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
  const kept = new Map<string, string>();
  vi.stubGlobal('localStorage', {
    getItem: (key: string) => kept.get(key) ?? null,
    setItem: (key: string, value: string) => void kept.set(key, value),
  });
  [marks, reachable, refusal, held, asked] = [new Map(), true, null, null, []];
  vi.stubGlobal(
    '$fetch',
    async (url: string, { method, body = {} }: { method: string; body?: Record<string, unknown> }) => {
      asked.push(`${method} ${url}`);
      if (held) await new Promise<void>((go) => held!.push({ url, go }));
      if (!reachable) throw new Error('connection refused');
      const refused = url.endsWith('/grades') ? refusal : null;
      if (refused) throw Object.assign(new Error(refused.message), { status: refused.status, data: refused });
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
  film.resume();
  await film.open(id);
  return film;
}
const settled = (): Promise<unknown> => vi.advanceTimersByTimeAsync(0);

describe('opening film', () => {
  it('opens the newest game at the first snap that is not graded', async () => {
    marks.set(21, new Map(MEN.map((m) => [m, ALL_PLUS])));
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

  it('says so when it cannot be opened, and opens once it can', async () => {
    reachable = false;
    const film = await opened();
    expect([film.snap, film.loadProblem]).toEqual([null, 'The server cannot be reached.']);
    reachable = true;
    expect(await film.open(21)).toBe(true);
    expect([film.snap!.id, film.loadProblem]).toEqual([21, '']);
  });
});

describe('a mark', () => {
  it('stands at once, and is sent', async () => {
    const film = await opened();
    film.mark('LT', LATE);
    expect(film.marks.LT).toEqual(LATE);
    expect(film.snaps[0]!.graded).toEqual([{ blocker: 'LT', grade: LATE }]);
    await settled();
    expect([marks.get(21)!.get('LT'), film.queue]).toEqual([LATE, []]);
  });

  it('is kept on the machine while the server cannot be reached, over a reload, and sent by itself', async () => {
    const film = await opened();
    reachable = false;
    film.mark('LT', LATE);
    film.change('LT', { note: 'late' });
    await settled();
    expect(film.trouble).toBe('Not connected: 1 mark is kept on this machine and will be sent.');
    setActivePinia(createPinia());
    useSession().member = { userId: 3, userName: '', programId: 1, programName: '', role: 'coach', playerId: null };
    const later = useFilm();
    later.resume();
    expect(later.queue).toHaveLength(1);
    reachable = true;
    await vi.advanceTimersByTimeAsync(7000);
    expect(marks.get(21)!.get('LT')).toEqual({ ...LATE, note: 'late' });
    expect([later.queue, later.trouble]).toEqual([[], '']);
  });

  it('is still there when its snap is opened again before it was sent', async () => {
    const film = await opened();
    reachable = false;
    film.mark('LT', LATE);
    await settled();
    reachable = true;
    refusal = { status: 503, message: 'The database does not answer.' };
    await film.open(22);
    await film.open(21);
    expect(film.marks.LT).toEqual(LATE);
  });

  it('changed while the one before is on its way is the one that stays', async () => {
    const film = await opened();
    held = [];
    film.mark('LT', LATE);
    await vi.waitFor(() => expect(held).toHaveLength(1));
    film.mark('LT', ALL_PLUS);
    const first = held[0]!;
    held = null;
    first.go();
    await settled();
    expect([marks.get(21)!.get('LT'), film.queue]).toEqual([ALL_PLUS, []]);
  });

  it('that is refused says why, and stays', async () => {
    const film = await opened();
    refusal = { status: 400, message: 'blocker: LT has no assignment on this snap.' };
    film.mark('LT', LATE);
    await settled();
    expect(film.trouble).toBe('blocker: LT has no assignment on this snap. 1 mark is kept on this machine.');
    expect(film.queue).toHaveLength(1);
  });

  it('is another user’s own: nobody else on the machine sends it', async () => {
    const film = await opened();
    reachable = false;
    film.mark('LT', LATE);
    await settled();
    setActivePinia(createPinia());
    useSession().member = { userId: 4, userName: '', programId: 1, programName: '', role: 'coach', playerId: null };
    const other = useFilm();
    other.resume();
    expect(other.queue).toEqual([]);
  });

  it('is given to everybody who has none by one key, and taken away again', async () => {
    const film = await opened();
    film.mark('LT', LATE);
    film.restPlus();
    await settled();
    expect(marks.get(21)!.size).toBe(MEN.length);
    expect(marks.get(21)!.get('LT')).toEqual(LATE);
    film.mark('LT', null);
    await settled();
    expect(marks.get(21)!.has('LT')).toBe(false);
  });

  it('is given by nobody who may only look', async () => {
    useSession().member = { userId: 5, userName: '', programId: 1, programName: '', role: 'player', playerId: 9 };
    const film = await opened(21);
    film.mark('LT', LATE);
    expect([film.marks, film.queue, asked.includes('GET /api/games')]).toEqual([{}, [], false]);
  });
});

describe('what is known of the snap', () => {
  it('is corrected, and not shown with another snap when it comes late', async () => {
    const film = await opened();
    await film.changeSituation({ gain: 9 });
    expect(film.snap!.situation.gain).toBe(9);
    held = [];
    const late = film.changeSituation({ gain: 3 });
    await vi.waitFor(() => expect(held).toHaveLength(1));
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
