import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { NO_CHANGES, substitute, type Lineup } from '#core/film/log/lineup';
import type { SnapItem } from '#core/model/game';
import { anEntry, anItem } from '#core/testing/a-log';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { useLog } from './store';

const GAME = { id: 1, opponent: 'Fennick Otters', week: 5, published: false, snaps: 2 };
const MAN = { seats: [], defence: '', left: false };
const PLAYERS = [
  { ...MAN, id: 11, name: 'Tallow', number: 72, seat: 'LT' },
  { ...MAN, id: 12, name: 'Spare', number: 66, seat: '' },
];
const LOG: SnapItem[] = [
  anItem(anEntry(1, {}, { gain: 4 })),
  anItem(anEntry(2, {}, { down: 2, distance: 6, gain: 1 })),
];

/** What the server keeps, and whether it asks before grades become another man's. */
let field: { revision: number; lineup: Lineup };
let asks: boolean;
let server: RoutesServer;
beforeEach(() => {
  setActivePinia(createPinia());
  [field, asks] = [{ revision: 0, lineup: NO_CHANGES }, false];
  server = serveRoutes({
    'GET /api/roster': () => PLAYERS,
    'GET /api/games': () => [GAME, { ...GAME, id: 2, week: 6 }],
    'GET /api/games/*/snaps': () => LOG,
    'GET /api/games/1/lineup': () => field,
    'GET /api/games/2/lineup': () => ({ revision: 0, lineup: NO_CHANGES }),
    'PUT /api/games/*/lineup': ({ revision, lineup, confirmed }: typeof field & { confirmed: boolean }) => {
      if (asks && !confirmed) return { saved: false, revision, moved: [{ number: 2, blocker: 'LT' }] };
      field = { revision: revision + 1, lineup };
      return { saved: true, revision: field.revision, moved: [] };
    },
  });
});
afterEach(() => vi.unstubAllGlobals());

async function opened() {
  const store = useLog();
  await store.open(1);
  return { store, leftTackles: () => [1, 2].map((snap) => store.fieldAt(snap).get('LT')!.name) };
}

describe('who is on the field', () => {
  it('asks before grades become another man’s', async () => {
    const { store, leftTackles } = await opened();
    asks = true;
    await store.comeIn(2, 'LT', 12);
    expect(store.asked!.says).toBe('1 grade goes to another man by this: snap 2 LT.');
    expect([leftTackles(), store.lastStep]).toEqual([['Tallow', 'Tallow'], null]);
    await store.asked!.yes();
    expect(leftTackles()).toEqual(['Tallow', 'Spare']);
    expect([store.asked, store.lastStep!.says]).toEqual([null, 'from snap 2 Spare at LT']);
  });

  it('wears one number at a time', async () => {
    const { store } = await opened();
    await store.wear(2, 11, 90);
    await store.wear(2, 11, 91);
    expect(field.lineup.jerseys).toEqual([{ from: 2, playerId: 11, number: 91 }]);
    expect([store.fieldAt(1), store.fieldAt(2)].map((at) => at.get('LT')!.number)).toEqual([72, 91]);
    expect(store.lastStep!.says).toBe('from snap 2 Tallow wears 91');
  });

  it('is not kept while the server cannot be reached', async () => {
    const { store, leftTackles } = await opened();
    server.down();
    expect(await store.comeIn(1, 'LT', 12)).toBe(false);
    expect(leftTackles()).toEqual(['Tallow', 'Tallow']);
    expect([store.lineup, store.lastStep]).toEqual([{ revision: 0, lineup: NO_CHANGES }, null]);
  });

  it('never goes to another game that was opened meanwhile', async () => {
    const { store } = await opened();
    const answer = $fetch as unknown as (url: string, options: { method: string }) => Promise<unknown>;
    let letGo = (): void => {};
    vi.stubGlobal('$fetch', async (url: string, options: { method: string }) => {
      const answered = await answer(url, options);
      if (options.method === 'PUT') await new Promise<void>((go) => (letGo = go));
      return answered;
    });
    const late = store.comeIn(2, 'LT', 12);
    await store.open(2);
    letGo();
    await late;
    expect([store.game, store.lineup.lineup, store.lastStep]).toEqual([2, NO_CHANGES, null]);
    expect(field.lineup.seats).toEqual([{ from: 2, seat: 'LT', playerId: 12 }]);
  });
});

describe('who is on the field, taken back', () => {
  it('is who it was, one change at a time, and at last nothing is left to take back', async () => {
    const { store, leftTackles } = await opened();
    await store.comeIn(2, 'LT', 12);
    await store.comeIn(1, 'LT', null);
    await store.wear(1, 12, 67);
    expect(store.lastStep!.says).toBe('from snap 1 Spare wears 67');
    expect(await store.takeBack()).toBe(true);
    expect([field.lineup.jerseys, store.lastStep!.says]).toEqual([[], 'from snap 1 nobody at LT']);
    await store.takeBack();
    expect(leftTackles()).toEqual(['Tallow', 'Spare']);
    await store.takeBack();
    expect([field.lineup, store.lastStep]).toEqual([NO_CHANGES, null]);
    expect(await store.takeBack()).toBe(true);
    expect(field.lineup).toEqual(NO_CHANGES);
  });

  it('is found the same however the database spells it', async () => {
    const { store } = await opened();
    await store.wear(1, 12, 67);
    const { seats, jerseys } = field.lineup;
    const turned = jerseys.map(({ number, playerId, from }) => ({ number, playerId, from }));
    field = { ...field, lineup: { jerseys: turned, seats } };
    await store.takeBack();
    expect([field.lineup, store.problem]).toEqual([NO_CHANGES, '']);
  });

  it('asks again where grades would go from one man to another', async () => {
    const { store, leftTackles } = await opened();
    await store.comeIn(2, 'LT', 12);
    asks = true;
    await store.takeBack();
    expect([leftTackles(), store.lastStep!.says]).toEqual([['Tallow', 'Spare'], 'from snap 2 Spare at LT']);
    await store.asked!.yes();
    expect([leftTackles(), store.lastStep, store.asked]).toEqual([['Tallow', 'Tallow'], null, null]);
  });

  it('stays where somebody has changed it since, and it is said', async () => {
    const { store } = await opened();
    await store.comeIn(2, 'LT', 12);
    const others = substitute(field.lineup, { from: 1, seat: 'RG', playerId: 12 });
    field = { revision: 2, lineup: others };
    await store.takeBack();
    expect(store.problem).toBe(
      'Who was on the field was changed since. What you did (from snap 2 Spare at LT) stays as it is now.',
    );
    expect([field.lineup, store.lineup.lineup, store.lastStep]).toEqual([others, others, null]);
  });

  it('can be tried again after the server could not be reached', async () => {
    const { store, leftTackles } = await opened();
    await store.comeIn(2, 'LT', 12);
    server.down();
    expect(await store.takeBack()).toBe(false);
    expect(store.lastStep!.says).toBe('from snap 2 Spare at LT');
    server.up();
    await store.takeBack();
    expect([leftTackles(), store.lastStep]).toEqual([['Tallow', 'Tallow'], null]);
  });
});
