import 'fake-indexeddb/auto';
import { createPinia, setActivePinia } from 'pinia';
import { nextTick } from 'vue';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { LogEntry } from '#core/model/game';
import { serveRoutes, type RoutesServer } from '~/testing/routes';
import { useWeek } from '~/features/week/store';
import { dropSent, dropTapped, tappedOf } from './box';
import { useNight } from './store';
import { usePlan } from '~/features/plan/store';

vi.mock('~/workers/start', async () => {
  const { useAsked } = await import('~/workers/asked');
  const silent = () => ({ postMessage: () => undefined, terminate: () => undefined, onmessage: null, onerror: null });
  return { usePlanning: () => useAsked(silent) };
});

const FRONT = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';
let log: { number: number }[];
let server: RoutesServer;
const settled = (): Promise<void> => new Promise((resolve) => setTimeout(resolve, 15));
async function start(): Promise<void> {
  setActivePinia(createPinia());
  await useWeek().open(6);
  useNight();
  await settled();
}
beforeEach(async () => {
  await dropTapped((await tappedOf(6)).map((t) => t.snap.id));
  log = [];
  server = serveRoutes({
    'GET /api/schedule': () => ({
      seasons: [],
      games: [{ id: 6, week: 6, opponent: 'Quillport Terns', playedOn: null, snaps: 0, films: 0 }],
    }),
    'GET /api/weeks/6': () => ({
      game: { id: 6, opponent: 'Quillport Terns', week: 6, playedOn: null },
      ...{ practice: null, scripts: null, marks: [], records: [], seen: [] },
      plan: {
        ...{ revision: 1, by: '' },
        body: {
          plays: [
            {
              scheme: 'power',
              side: 'right',
              tags: [],
              formation: 'LT LG C RG RT; H right; B left',
              formationName: 'H',
              times: 5,
            },
          ],
          looks: [{ front: FRONT, frontName: 'Over', weight: 3, seen: '' }],
          answers: [{ scheme: 'power', side: 'right', tags: [], sign: 'Sam walks up', seen: '' }],
          quiz: false,
        },
      },
    }),
    'GET /api/games/6/snaps': () => log,
    'PUT /api/games/6/log': ({ entries }: { entries: LogEntry[] }) => {
      log = [...log, ...entries];
      return { written: true, added: [], changed: [], affected: [] };
    },
  });
  await start();
});
afterEach(() => vi.unstubAllGlobals());

/** Three taps. */
async function three(lost: string[] = []): Promise<void> {
  const [night, plan] = [useNight(), usePlan()];
  night.play = plan.plan.plays[0]!;
  night.look = plan.plan.looks[0]!;
  await night.tap(lost);
}

describe('a snap on the sideline', () => {
  it('is three taps, and lies on the device', async () => {
    const night = useNight();
    expect(night.seats).toEqual([]);
    await night.tap([]);
    expect(night.snaps).toEqual([]);
    await three(['C']);
    await three();
    expect(night.snaps.map((s) => [s.number, s.call.frontName, s.lost])).toEqual([
      [1, 'Over', ['C']],
      [2, 'Over', []],
    ]);
    expect([night.play, night.look, night.unsent, (await tappedOf(6)).length]).toEqual([null, null, 2, 2]);
  });

  it('is asked of those who have somebody', async () => {
    const [night, plan] = [useNight(), usePlan()];
    night.play = plan.plan.plays[0]!;
    night.look = plan.plan.looks[0]!;
    await nextTick();
    expect(night.seats).toEqual(['LT', 'LG', 'C', 'RG', 'RT', 'H']);
  });

  it('can be taken back, and another man added to it, as long as it has not been sent', async () => {
    const night = useNight();
    await three(['C']);
    expect(night.lastSeats).toEqual(['LT', 'LG', 'C', 'RG', 'RT', 'H']);
    await night.alsoLost('RG');
    expect((await tappedOf(6))[0]!.snap.lost).toEqual(['C', 'RG']);
    await night.alsoLost('C');
    expect(night.snaps[0]!.lost).toEqual(['RG']);
    await night.undo();
    expect([night.snaps, await tappedOf(6)]).toEqual([[], []]);
  });

  it('tapped before the device has said what lies on it follows what does', async () => {
    await three();
    setActivePinia(createPinia());
    await useWeek().open(6);
    await three();
    await three();
    await settled();
    expect(useNight().snaps.map((s) => s.number)).toEqual([1, 2, 3]);
    expect((await tappedOf(6)).map((t) => t.snap.number)).toEqual([1, 2, 3]);
  });

  it('keeps the signs that were seen before it, and the next snap begins without any', async () => {
    const night = useNight();
    night.toggleSign('Sam walks up');
    night.toggleSign('Sam walks up');
    night.toggleSign('Sam walks up');
    await three();
    await three();
    expect((await tappedOf(6)).map((t) => t.snap.signs)).toEqual([['Sam walks up'], []]);
    expect(night.signsSoFar.map((s) => [s.sign, s.answered.good, s.answered.of])).toEqual([['Sam walks up', 1, 1]]);
  });

  it('is still there after the page was loaded anew, in its series', async () => {
    useNight().nextSeries();
    await three();
    await start();
    const night = useNight();
    expect([night.snaps.length, night.series]).toEqual([1, 2]);
    await three();
    expect(night.snaps.map((s) => [s.number, s.series])).toEqual([
      [1, 2],
      [2, 2],
    ]);
  });
});

describe('the log of the game', () => {
  it('gets what is not in it yet, once', async () => {
    const night = useNight();
    log = [{ number: 1 }];
    await three();
    await three(['RT']);
    expect(await night.putIntoLog()).toBe(true);
    expect(log.map((e) => e.number)).toEqual([1, 2]);
    await night.putIntoLog();
    expect([log.length, night.unsent]).toEqual([2, 0]);
    await night.undo();
    expect(night.snaps).toHaveLength(2);
    await dropSent();
    expect(await tappedOf(6)).toEqual([]);
  });

  it('waits while there is no connection, and nothing is lost', async () => {
    const night = useNight();
    await three();
    server.down();
    expect(await night.putIntoLog()).toBe(false);
    expect([night.problem, night.unsent]).toEqual(['The server cannot be reached. Every snap is kept here; go on.', 1]);
    await three();
    server.up();
    await night.putIntoLog();
    expect([log.map((e) => e.number), night.unsent, night.problem]).toEqual([[1, 2], 0, '']);
  });
});

describe('another picture than planned', () => {
  it('is made of the likeliest look by a word, and names who does something else', async () => {
    const [night, plan] = [useNight(), usePlan()];
    expect([night.nextOnes, night.changed]).toEqual([[], null]);
    night.asks = { play: plan.plan.plays[0]!, was: plan.plan.looks[0]! };
    await nextTick();
    const other = night.nextOnes.find((p) => p.says === 'turned around')!;
    expect(other.frontName).toBe('Over, turned around');
    night.now = other;
    await nextTick();
    expect(night.changed!.men.length).toBeGreaterThan(0);
    night.now = plan.plan.looks[0]!;
    await nextTick();
    expect(night.changed!.men).toEqual([]);
  });
});
