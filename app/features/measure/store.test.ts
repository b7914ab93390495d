import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { resolveCall } from '#core/calls/resolve-call';
import { NOTHING_MEASURED } from '#core/model/measured';
import { A_CALL } from '#core/testing/a-call';
import { lateAnswers } from '~/testing/late-answers';
import { useMeasure } from './store';

const resolution = resolveCall(A_CALL);
const snap = (id: number) => ({
  id,
  number: id,
  gameId: 1,
  call: A_CALL,
  situation: { quarter: 1, down: 1, distance: 10, hash: 'left', gain: 0 },
  resolution: resolution.ok && resolution.value,
  clips: [],
  grades: [],
});

/** What the server has, and how it answers: at once, later, or not at all. */
let kept: { revision: number; measuring: unknown };
let sent: { revision: number }[];
let wait: (() => Promise<void>) | null;
let refuse: { status?: number; message: string } | null;
beforeEach(() => {
  setActivePinia(createPinia());
  [kept, sent, wait, refuse] = [{ revision: 0, measuring: NOTHING_MEASURED }, [], null, null];
  vi.stubGlobal('$fetch', async (url: string, { method, body }: { method: string; body?: never }) => {
    if (method === 'GET' && url.endsWith('/measuring')) return { ...kept, calibrations: {}, offered: {} };
    if (method === 'GET') return snap(Number(url.split('/').at(-1)));
    const { revision, measuring } = body as unknown as { revision: number; measuring: unknown };
    sent.push({ revision });
    await wait?.();
    if (refuse) throw Object.assign(new Error(refuse.message), { status: refuse.status, data: refuse });
    if (revision !== kept.revision)
      throw Object.assign(new Error('409'), { status: 409, data: { message: 'meanwhile' } });
    kept = { revision: revision + 1, measuring };
    return { revision: kept.revision };
  });
});
afterEach(() => vi.unstubAllGlobals());

const at = (x: number) => ({ x, y: 100 });
const ids = (store: ReturnType<typeof useMeasure>) => store.measuring.atSnap.map((f) => `${f.id} ${f.angle}`);

describe('measuring', () => {
  it('shows the snap that was asked for last, whichever comes first', async () => {
    const store = useMeasure();
    const late = lateAnswers();
    const [first, second] = [store.open(1), store.open(2)];
    for (const id of [2, 1]) {
      await late.arrive(`/snaps/${id}`);
      await late.arrive(`/snaps/${id}/measuring`);
      await (id === 2 ? second : first);
    }
    expect(store.snap!.id).toBe(2);
  });
  it('says nothing of a snap that could not be opened once another one is there', async () => {
    const store = useMeasure();
    const server = globalThis.$fetch as unknown as (url: string, options: object) => Promise<unknown>;
    let fail = () => {};
    vi.stubGlobal('$fetch', (url: string, options: object) =>
      url === '/api/snaps/1' ? new Promise((_, no) => (fail = () => no(new Error('gone')))) : server(url, options),
    );
    const first = store.open(1);
    expect(await store.open(2)).toBe(true);
    fail();
    expect([await first, store.snap!.id, store.problem]).toEqual([false, 2, '']);
  });
  it('opens the same snap again with what waits of it, and goes on from there', async () => {
    const store = useMeasure();
    await store.open(1);
    wait = () => new Promise((later) => setTimeout(later, 5));
    const click = store.setFeet('C', 'offence', 'end zone', at(1));
    await store.open(1);
    expect([await click, ids(store)]).toEqual([true, ['C end zone']]);
    expect(await store.setFeet('LG', 'offence', 'end zone', at(2))).toBe(true);
    expect([sent.map((s) => s.revision), store.problem]).toEqual([[0, 1], '']);
  });
  it('sends what waits of a snap on that snap’s revision, also when another one was opened meanwhile', async () => {
    const store = useMeasure();
    await store.open(1);
    const late = lateAnswers();
    const clicks = [
      store.setFeet('C', 'offence', 'end zone', at(1)),
      store.setFeet('LG', 'offence', 'end zone', at(2)),
    ];
    const other = store.open(2);
    await late.arrive('/snaps/2');
    await late.arrive('/snaps/2/measuring');
    await other;
    late.over();
    expect(await Promise.all(clicks)).toEqual([true, true]);
    expect([kept.revision, sent.map((s) => s.revision), store.problem]).toEqual([sent.length, [0], '']);
  });
  it('sends what is clicked while the server is slow together, on the revision of the one before', async () => {
    const store = useMeasure();
    await store.open(1);
    wait = () => new Promise((later) => setTimeout(later, 5));
    const first = store.setFeet('C', 'offence', 'end zone', at(1));
    while (sent.length === 0) await Promise.resolve();
    await Promise.all([
      first,
      store.setFeet('LG', 'offence', 'end zone', at(2)),
      store.setFeet('N', 'defence', 'end zone', at(3)),
    ]);
    expect(sent.map((s) => s.revision)).toEqual([0, 1]);
    expect(ids(store)).toEqual(['C end zone', 'LG end zone', 'N end zone']);
    expect(kept.measuring).toEqual(store.measuring);
  });

  it('keeps one click a man and angle, and takes it away again', async () => {
    const store = useMeasure();
    await store.open(1);
    await store.setFeet('C', 'offence', 'end zone', at(1));
    await store.setFeet('C', 'offence', 'sideline', at(2));
    await store.setFeet('C', 'offence', 'end zone', at(9));
    expect(store.measuring.atSnap.find((f) => f.angle === 'end zone')?.pixel.x).toBe(9);
    await store.setFeet('C', 'offence', 'sideline', null);
    expect(ids(store)).toEqual(['C end zone']);
  });

  it('takes a change back that the server refuses, and says why', async () => {
    const store = useMeasure();
    await store.open(1);
    await store.setFeet('LG', 'offence', 'end zone', at(1));
    refuse = { status: 400, message: 'no such man' };
    expect(await store.setFeet('C', 'offence', 'end zone', at(1))).toBe(false);
    expect([store.problem, ids(store)]).toEqual(['no such man', ['LG end zone']]);
    refuse = null;
    expect(await store.setFeet('C', 'offence', 'end zone', at(1))).toBe(true);
    expect(store.problem).toBe('');
  });

  it('bends ways through places set by hand, one a moment, and follows anew without them', async () => {
    const store = useMeasure();
    await store.open(1);
    const play = {
      framesPerSecond: 30,
      start: 0,
      carried: [],
      tracks: [
        {
          id: 'RG',
          team: 'offence' as const,
          places: Array.from({ length: 31 }, () => [4, -1, 0.1, 1] as [number, number, number, number]),
        },
      ],
    };
    await store.keepFollowed(play);
    await store.bend({ id: 'RG', team: 'offence', seconds: 1, x: 8, y: 3 });
    await store.bend({ id: 'RG', team: 'offence', seconds: 1, x: 6, y: 3 });
    expect(store.measuring.bends).toHaveLength(1);
    expect(store.tracks[0]!.places[30]).toMatchObject({ x: 6, y: 3 });
    await store.unbend('RG', 'offence');
    expect(store.tracks[0]!.places[30]).toMatchObject({ x: 4, y: -1 });
    await store.bend({ id: 'RG', team: 'offence', seconds: 1, x: 8, y: 3 });
    await store.keepFollowed(play);
    expect(store.measuring.bends).toEqual([]);
  });

  it('works the call out whose men are clicked', async () => {
    const store = useMeasure();
    await store.open(1);
    expect(store.call?.front.defenders).toHaveLength(6);
    expect(store.places).toEqual([]);
  });
});
