import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ALL_PLUS } from '#core/model/grade';
import { useReel } from './reel';

const behind = (snapId: number, blocker: string) => ({
  ...{ snapId, number: snapId % 10, gameId: 2, opponent: 'Terns', week: 3, blocker, man: '61 Anselm Rook' },
  ...{ scheme: 'power', side: 'right', front: 'Over', grade: { ...ALL_PLUS, faults: ['lunge'] } },
  asked: { block: 'double', target: 'T', next: null, partners: [], role: 'inner', schools: [] },
});
const play = (snapId: number) => ({
  ...{
    snapId,
    number: snapId % 10,
    gameId: 2,
    opponent: 'Terns',
    week: 3,
    scheme: 'power',
    side: 'right',
    front: 'Over',
  },
  ...{ down: 3, distance: 2, gain: -1, result: 'went on', blocked: true, missed: [], cause: [] },
});
let asked: string[];
let held: (() => void)[] | null;
beforeEach(() => {
  setActivePinia(createPinia());
  [asked, held] = [[], null];
  vi.stubGlobal('$fetch', async (url: string) => {
    asked.push(url);
    if (held) await new Promise<void>((go) => held!.push(go));
    if (url.includes('agreement'))
      return [
        {
          snapId: 31,
          number: 1,
          blocker: 'C',
          man: '55 Jory Pell',
          block: 'back',
          one: ALL_PLUS,
          other: { ...ALL_PLUS, technique: 'minus' },
        },
        { snapId: 32, number: 2, blocker: 'C', man: '55 Jory Pell', block: 'back', one: ALL_PLUS, other: ALL_PLUS },
      ];
    if (url.startsWith('/api/book/plays/snaps')) return { plays: [play(21), play(35)], total: 2 };
    return { snaps: [behind(21, 'RG'), behind(21, 'RT'), behind(35, 'RG')], total: 3 };
  });
});
afterEach(() => vi.unstubAllGlobals());

describe('a reel', () => {
  it('is the snaps behind a number, in their order, whatever games they are from', async () => {
    const reel = useReel();
    await reel.open('measure=technique&block=double&front=Over&front=Odd', 21);
    expect(asked).toEqual(['/api/book/snaps?measure=technique&skip=0&take=200&block=double&front=Over&front=Odd']);
    expect(reel.current.value).toMatchObject({
      snapId: 21,
      blocker: 'RG',
      says: 'assignment right, technique plus; lunge',
    });
    expect(reel.step(1)).toMatchObject({ snapId: 21, blocker: 'RT' });
    expect(reel.step(1)!.snapId).toBe(35);
    expect(reel.step(1)).toBeNull();
    expect(reel.at.value).toBe(2);
    expect(reel.step(-1)!.blocker).toBe('RT');
  });

  it('is asked for once, and taken up at the snap that is shown', async () => {
    const reel = useReel();
    await reel.open('block=double', 35);
    expect(reel.current.value!.snapId).toBe(35);
    await reel.open('block=double', 21);
    expect([reel.current.value!.snapId, asked.length]).toEqual([21, 1]);
    await reel.open('', 21);
    expect([reel.current.value, reel.snaps.value]).toEqual([null, []]);
  });

  it('stays at its second man of a snap, and where a snap that is not in it is shown', async () => {
    const reel = useReel();
    await reel.open('block=double', 21);
    reel.step(1);
    await reel.open('block=double', 21);
    expect(reel.current.value!.blocker).toBe('RT');
    await reel.open('block=double', 99);
    expect([reel.at.value, reel.current.value!.blocker]).toEqual([1, 'RT']);
  });

  it('of plays has no man in hand, and says what speaks for each', async () => {
    const reel = useReel();
    await reel.open('plays=blockedFailed&front=Over', 35);
    expect(asked).toEqual(['/api/book/plays/snaps?plays=blockedFailed&skip=0&take=200&front=Over']);
    expect(reel.current.value).toEqual({
      ...{ snapId: 35, number: 5, week: 3, blocker: null, who: 'Power right' },
      says: '3rd and 2, lost 1; all did their job',
    });
  });

  it('of two graders holds what they differ on', async () => {
    const reel = useReel();
    await reel.open('apart=3-2', 31);
    expect(asked).toEqual(['/api/games/3/agreement?user=2']);
    expect(reel.snaps.value.map((s) => [s.number, s.week, s.says])).toEqual([
      [1, null, 'assignment right, technique plus, or assignment right, technique minus'],
    ]);
  });

  it('that was left before it came is not shown', async () => {
    const reel = useReel();
    held = [];
    const slow = reel.open('block=double', 21);
    await expect.poll(() => held).toHaveLength(1);
    const waiting = held;
    held = null;
    await reel.open('apart=3-2', 31);
    waiting![0]!();
    await slow;
    expect(reel.snaps.value.map((s) => s.snapId)).toEqual([31]);
  });

  it('that cannot be read says so', async () => {
    vi.stubGlobal('$fetch', async () => Promise.reject(new Error('connection refused')));
    const reel = useReel();
    await reel.open('block=double', 21);
    expect([reel.problem.value, reel.current.value]).toEqual(['The server cannot be reached.', null]);
  });
});
