import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { NO_CHANGES } from '#core/film/log/lineup';
import type { LogEntry, SnapItem } from '#core/model/game';
import { anEntry, anItem } from '#core/testing/a-log';
import { lateAnswers } from '~/testing/late-answers';
import { followsOn, useLog } from './store';

/** A server with one game, in memory: it can be down, slow, or ask first. */
let log: SnapItem[];
let asks: boolean;
let reachable: boolean;
let held: (() => void)[] | null;
interface Body {
  entries: LogEntry[];
  without?: number[];
  confirmed: boolean;
  dryRun: boolean;
}
const GAME = { id: 1, opponent: 'Fennick Otters', week: 5, published: false, snaps: 2 };
const MAN = { seats: [], defence: '', left: false };
const PLAYERS = [
  { ...MAN, id: 11, name: 'Tallow', number: 72, seat: 'LT' },
  { ...MAN, id: 12, name: 'Spare', number: 66, seat: '' },
];

function answerTo(method: string, url: string, body: Body): unknown {
  if (url === '/api/roster') return PLAYERS;
  if (url === '/api/games') return [GAME, { ...GAME, id: 2, week: 6 }];
  if (url === '/api/games/2/snaps') return [];
  if (url === '/api/games/2/lineup') return { revision: 0, lineup: NO_CHANGES };
  if (url === '/api/games/1/snaps') return log;
  if (url === '/api/games/1/lineup') return { revision: 0, lineup: NO_CHANGES };
  if (url === '/api/games/1/log') {
    const known = new Set(log.map((s) => s.number));
    const added = body.entries.filter((e) => !known.has(e.number)).map((e) => e.number);
    const changed = body.entries.filter((e) => known.has(e.number)).map((e) => e.number);
    const affected = asks && body.entries[0] ? [{ number: body.entries[0].number, men: ['LT'] }] : [];
    const written = !body.dryRun && (body.confirmed || affected.length === 0);
    if (written)
      log = [
        ...log.filter((s) => !changed.includes(s.number) && !body.without?.includes(s.number)),
        ...body.entries.map((e) => anItem(e)),
      ].sort((a, b) => a.number - b.number);
    return { written, added, changed, affected };
  }
  const snap = /^\/api\/snaps\/(\d+)$/.exec(url);
  if (snap && method === 'DELETE') return void (log = log.filter((s) => s.id !== Number(snap[1])));
  throw new Error(`nobody serves ${method} ${url}`);
}

beforeEach(() => {
  setActivePinia(createPinia());
  log = [anItem(anEntry(1, {}, { gain: 4 })), anItem(anEntry(2, {}, { down: 2, distance: 6, gain: 1 }))];
  [asks, reachable, held] = [false, true, null];
  vi.stubGlobal('$fetch', async (url: string, { method, body }: { method: string; body: Body }) => {
    if (held && url === '/api/games/1/snaps') await new Promise<void>((go) => held!.push(go));
    if (!reachable) throw new Error('connection refused');
    return structuredClone(answerTo(method, url, body));
  });
});
afterEach(() => vi.unstubAllGlobals());

async function opened() {
  const store = useLog();
  await store.open(1);
  return store;
}

describe('the log', () => {
  it('is of the game that was asked for last, whichever comes first', async () => {
    const store = await opened();
    const late = lateAnswers();
    const [first, second] = [store.open(1), store.open(2)];
    await late.arrive('/api/roster', 2);
    await late.arrive('/api/games');
    await late.arrive('/api/games/2/snaps');
    await late.arrive('/api/games/2/lineup');
    await second;
    late.over();
    await first;
    expect([store.game, store.log, store.draft!.number]).toEqual([2, [], 1]);
  });
  it('begins with the next snap, as it follows', async () => {
    const store = await opened();
    expect([store.draft!.number, store.isNew]).toEqual([3, true]);
    expect(store.draft!.situation).toMatchObject({ down: 3, distance: 5, gain: 0 });
  });

  it('goes on with the next one once a snap is logged', async () => {
    const store = await opened();
    store.putSituation({ gain: 7 });
    expect(await store.save()).toBe(true);
    expect(store.draft!.number).toBe(4);
    expect(store.draft!.situation).toMatchObject({ down: 1, distance: 10 });
    expect(log.map((s) => s.situation.gain)).toEqual([4, 1, 7]);
  });

  it('goes on with a snap that was begun, after another was looked at, and anew once it is logged', async () => {
    const store = await opened();
    store.putLogged({ said: 'Granite' });
    store.edit(1);
    expect(store.draft!.number).toBe(1);
    store.fresh();
    expect([store.draft!.number, store.draft!.logged.said]).toEqual([3, 'Granite']);
    expect([await store.save(), store.problem]).toEqual([true, '']);
    expect([store.draft!.number, store.draft!.logged.said]).toEqual([4, '']);
  });

  it('stays with a snap that was changed', async () => {
    const store = await opened();
    store.edit(1);
    store.putSituation({ gain: 12 });
    await store.save();
    expect([store.draft!.number, store.draft!.situation.gain, store.isNew]).toEqual([1, 12, false]);
  });

  it('keeps what is being written when the server cannot be reached, and says so', async () => {
    const store = await opened();
    store.putLogged({ said: 'Granite' });
    reachable = false;
    expect(await store.save()).toBe(false);
    expect(store.problem).toBe('The server cannot be reached. What you have written stays here.');
    expect(store.draft!.logged.said).toBe('Granite');
    reachable = true;
    expect(await store.save()).toBe(true);
    expect(log.at(-1)!.logged.said).toBe('Granite');
  });

  it('asks before graded men were asked something else', async () => {
    const store = await opened();
    asks = true;
    store.edit(2);
    store.putCall({ side: 'left' });
    await store.save();
    expect(store.asked!.says).toContain('Snap 2: LT. He was graded against another assignment');
    expect(log[1]!.call.side).toBe('right');
    await store.asked!.yes();
    expect(store.asked).toBeNull();
    expect(log[1]!.call.side).toBe('left');
  });

  it('takes what usually goes with a play, and leaves alone what is there already', async () => {
    const odd = { scheme: 'duo', formation: 'LT LG C RG RT Y right', formationName: 'Tight', frontName: 'Odd' };
    log.push(anItem(anEntry(3, odd)));
    log.push(anItem(anEntry(4)));
    const store = await opened();
    store.putCall({ scheme: 'duo' });
    expect(store.draft!.call).toMatchObject({ formationName: 'Tight', frontName: 'Odd', tags: [] });
    store.edit(1);
    store.putCall({ scheme: 'duo' });
    expect(store.draft!.call).toMatchObject({ scheme: 'duo', formation: log[0]!.call.formation });
  });

  it('reads a call as the program says it, or says what it cannot read', async () => {
    const store = await opened();
    expect(store.sayCall('Plough left')).toBe('');
    expect(store.draft!.call).toMatchObject({ scheme: 'power', side: 'left' });
    expect(store.sayCall('Plogh left')).toMatch(/did you mean "plough"\?$/);
    expect(store.draft!.call.scheme).toBe('power');
    expect(store.sayCall('Zip Plough right')).toBe('');
    expect(store.draft!.call.formation).toContain('; motion Z left');
  });

  it('tries a table without writing it', async () => {
    const store = await opened();
    const entries = [anEntry(2), anEntry(9)];
    expect(await store.tryEntries(entries)).toMatchObject({ written: false, added: [9], changed: [2] });
    expect(log).toHaveLength(2);
    expect(await store.writeEntries(entries)).toBe(true);
    expect(store.log.map((s) => s.number)).toEqual([1, 2, 9]);
  });

  it('takes a snap out', async () => {
    const store = await opened();
    await store.remove(2);
    expect(store.log.map((s) => s.number)).toEqual([1]);
    expect(store.draft!.number).toBe(2);
  });

  it('groups its snaps by series', async () => {
    log.push(anItem(anEntry(3, {}, { series: 2 })));
    const store = await opened();
    expect(store.series.map((s) => [s.number, s.snaps.length])).toEqual([
      [1, 2],
      [2, 1],
    ]);
    expect(followsOn(log[0], log[1]!)).toBe(true);
    expect(followsOn(log[1], log[2]!)).toBe(false);
  });
});

describe('taking back', () => {
  const gains = (): [number, number][] => log.map((s) => [s.number, s.situation.gain]);

  it('takes a snap that was logged out again, and has it in hand as it was written', async () => {
    const store = await opened();
    expect(store.lastStep).toBeNull();
    store.putSituation({ gain: 7 });
    await store.save();
    expect(store.lastStep!.says).toBe('snap 3 logged');
    expect(await store.takeBack()).toBe(true);
    expect(gains()).toHaveLength(2);
    expect([store.draft!.number, store.draft!.situation.gain, store.isNew, store.lastStep]).toEqual([3, 7, true, null]);
  });

  it('takes changes back one after the other, the last one first, as long as one stays with the log', async () => {
    const store = await opened();
    for (const gain of [5, 6]) {
      store.edit(1);
      store.putSituation({ gain });
      await store.save();
    }
    await store.takeBack();
    expect([gains()[0], store.draft!.number]).toEqual([[1, 5], 1]);
    await store.takeBack();
    expect([gains()[0], store.lastStep]).toEqual([[1, 4], null]);
    expect(await store.takeBack()).toBe(true);
    expect(gains()).toHaveLength(2);
    await store.save();
    await store.open(1);
    expect(store.lastStep).toBeNull();
  });

  it('pressed twice at once takes two steps, and waits for a snap that is still being logged', async () => {
    const store = await opened();
    for (const gain of [5, 6]) {
      store.edit(1);
      store.putSituation({ gain });
      await store.save();
    }
    expect(await Promise.all([store.takeBack(), store.takeBack()])).toEqual([true, true]);
    expect([gains()[0], store.problem, store.lastStep]).toEqual([[1, 4], '', null]);
    store.fresh();
    held = [];
    const logging = store.save();
    const back = store.takeBack();
    await expect.poll(() => held).toHaveLength(1);
    expect(gains()).toHaveLength(3);
    for (const go of held) go();
    held = null;
    await Promise.all([logging, back]);
    expect([gains().length, store.lastStep]).toEqual([2, null]);
  });

  it('takes a whole table back at once', async () => {
    const store = await opened();
    await store.writeEntries([anEntry(2, {}, { gain: 9 }), anEntry(8), anEntry(9)]);
    expect(store.lastStep!.says).toBe('3 snaps of a table written');
    await store.takeBack();
    expect(gains()).toEqual([
      [1, 4],
      [2, 1],
    ]);
  });

  it('brings back a snap that was taken out, unless film went with it', async () => {
    log[1] = { ...log[1]!, angles: [] };
    const store = await opened();
    await store.remove(2);
    expect(store.lastStep!.says).toBe('snap 2 taken out');
    await store.takeBack();
    expect(gains()).toHaveLength(2);
    await store.remove(1);
    expect(store.lastStep).toBeNull();
  });

  it('leaves what somebody has changed since, says so, and is done with that step', async () => {
    const store = await opened();
    store.edit(2);
    store.putSituation({ gain: 3 });
    await store.save();
    log[1] = { ...log[1]!, logged: { ...log[1]!.logged, said: 'Granite' } };
    await store.takeBack();
    expect(store.problem).toBe('Snap 2 was changed since. What you did (snap 2 changed) stays as it is now.');
    expect([log[1]!.situation.gain, log[1]!.logged.said, store.lastStep]).toEqual([3, 'Granite', null]);
  });

  it('is no part of what others did at the same time', async () => {
    const store = await opened();
    log[0] = { ...log[0]!, logged: { ...log[0]!.logged, said: 'Granite' } };
    store.edit(2);
    store.putSituation({ gain: 3 });
    await store.save();
    await store.takeBack();
    expect([log[0]!.logged.said, log[1]!.situation.gain]).toEqual(['Granite', 1]);
  });

  it('asks before graded men were asked something else, and can wait for a server', async () => {
    const store = await opened();
    store.edit(2);
    store.putCall({ side: 'left' });
    await store.save();
    reachable = false;
    expect(await store.takeBack()).toBe(false);
    expect(store.lastStep!.says).toBe('snap 2 changed');
    [reachable, asks] = [true, true];
    await store.takeBack();
    expect(store.asked!.says).toContain('Snap 2: LT.');
    expect(log[1]!.call.side).toBe('left');
    await store.asked!.yes();
    expect([log[1]!.call.side, store.lastStep]).toEqual(['right', null]);
  });
});

describe('another game', () => {
  it('never shows the log of one game under another, however late it comes', async () => {
    const store = useLog();
    held = [];
    const late = store.open(1);
    await expect.poll(() => held).toHaveLength(1);
    await store.open(2);
    expect([store.game, store.log.length]).toEqual([2, 0]);
    for (const go of held) go();
    await late;
    expect([store.game, store.log.length, store.draft!.number]).toEqual([2, 0, 1]);
  });
});
