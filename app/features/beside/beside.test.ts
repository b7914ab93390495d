import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { ref } from 'vue';
import { ALL_PLUS } from '#core/model/grade';
import type { SnapItem } from '#core/model/game';
import type { SnapView } from '#core/model/snap-view';
import { NOTHING_MEASURED } from '#core/model/measured';
import { anEntry, anItem } from '#core/testing/a-log';
import { lateAnswers } from '~/testing/late-answers';
import { bestAndWorst } from './extremes';
import { useHeldRep } from './hold';
import { BESIDE_HANDS, type BesideHands } from './keys';
import { clipFor, firstContact, useBeside, type Rep } from './store';

const clip = (id: number, angle: string): SnapView['clips'][number] => ({
  id,
  angle,
  framesPerSecond: 30,
  frames: 120,
  snapFrame: 24,
  contactFrame: 36,
  whistleFrame: 100,
});
/** RG runs at a man who stands, and is at him after a while; feet, frames of 15 a second. */
const still = Array.from({ length: 31 }, () => [4, 2, 0.1, 1] as [number, number, number, number]);
const runs = still.map((_, f) => [4, Math.min(0, -4 + f * 0.25), 0.1, 1] as [number, number, number, number]);
const followed = {
  framesPerSecond: 15,
  start: 0.2,
  carried: [],
  tracks: [
    { id: 'RG', team: 'offence' as const, places: runs },
    { id: 'T', team: 'defence' as const, places: still },
  ],
};

beforeEach(() => {
  setActivePinia(createPinia());
  vi.stubGlobal('$fetch', async (url: string) => {
    const id = Number(/\d+/.exec(url)![0]);
    if (id === 9) throw Object.assign(new Error('gone'), { status: 404, data: { message: 'There is no such snap.' } });
    if (url.endsWith('/measuring'))
      return { measuring: id === 1 ? { ...NOTHING_MEASURED, followed } : NOTHING_MEASURED, calibrations: {} };
    return { id, number: id, clips: id === 1 ? [clip(10, 'end zone'), clip(11, 'sideline')] : [clip(20, 'end zone')] };
  });
});
afterEach(() => vi.unstubAllGlobals());

async function reps(): Promise<readonly [Rep, Rep]> {
  const store = useBeside();
  expect(await store.open(1, 2)).toBe(true);
  return store.reps as [Rep, Rep];
}

describe('two reps', () => {
  it('are those that were asked for last, whichever come first', async () => {
    const store = useBeside();
    const late = lateAnswers();
    const [first, second] = [store.open(3, 4), store.open(1, 2)];
    for (const id of [1, 2]) {
      await late.arrive(`/snaps/${id}`);
      await late.arrive(`/snaps/${id}/measuring`);
    }
    await second;
    late.over();
    await first;
    expect(store.reps.map((r) => r.snap.id)).toEqual([1, 2]);
  });
  it('are locked at the man’s own first contact where he was followed, else at the one that is marked', async () => {
    const [one, two] = await reps();
    const own = firstContact(one, one.snap.clips[0]!, 'RG');
    expect(own.own).toBe(true);
    // He stands at his man from frame 16 of 15 a second on, 0.2 s later than the snap, and comes no nearer a little before that.
    expect(own.frame).toBeGreaterThan(24 + 6 + 2 * 13);
    expect(own.frame).toBeLessThanOrEqual(24 + 6 + 2 * 16);
    expect(firstContact(one, one.snap.clips[0]!, 'LT')).toEqual({ frame: 36, own: false });
    expect(firstContact(two, two.snap.clips[0]!, 'RG')).toEqual({ frame: 36, own: false });
  });

  it('are seen from one angle, where there is film from it', async () => {
    const [one, two] = await reps();
    expect([clipFor(one, 'sideline', null)?.id, clipFor(two, 'sideline', null)]).toEqual([11, null]);
    expect(clipFor(one, 'end zone', 'RG')).toMatchObject({ id: 10, own: true });
  });

  it('say so where one of them is gone', async () => {
    const store = useBeside();
    expect(await store.open(1, 9)).toBe(false);
    expect([store.problem, store.reps]).toEqual(['There is no such snap.', []]);
  });
});

describe('choosing two reps', () => {
  it('holds the first, takes the second, and lets go of one that is chosen twice', () => {
    const snap = ref<{ id: number } | null>({ id: 3 });
    const rep = useHeldRep(snap, (id) => id);
    expect([rep.choose(), rep.says.value]).toEqual([null, 'held: now the other rep']);
    expect([rep.choose(), rep.says.value]).toEqual([null, 'beside']);
    rep.choose();
    snap.value = { id: 8 };
    expect(rep.says.value).toBe('beside snap 3');
    expect(rep.choose()).toEqual({ one: 3, two: 8 });
    expect(rep.held.value).toBeNull();
    snap.value = null;
    expect([rep.choose(), rep.held.value]).toEqual([null, null]);
  });

  it('finds the best and the worst of a man, the latest of each', () => {
    const minus = { ...ALL_PLUS, technique: 'minus' as const };
    const snap = (number: number, grade: typeof ALL_PLUS | null): SnapItem =>
      anItem(anEntry(number), [], grade ? [{ blocker: 'RG', grade }] : []);
    const snaps = [snap(1, ALL_PLUS), snap(2, minus), snap(3, ALL_PLUS), snap(4, minus), snap(5, null)];
    const found = bestAndWorst(snaps, 'RG')!;
    expect([found.best.number, found.worst.number]).toEqual([3, 4]);
    expect(bestAndWorst([snap(1, ALL_PLUS), snap(2, ALL_PLUS)], 'RG')).toBeNull();
    expect(bestAndWorst(snaps, 'LT')).toBeNull();
    expect(bestAndWorst([snap(1, ALL_PLUS), { ...snap(2, minus), angles: [] }], 'RG')).toBeNull();
  });
});

describe('the keys of two reps', () => {
  it('are each one key, and each does what its button does', () => {
    expect(new Set(BESIDE_HANDS.map((h) => h.key)).size).toBe(BESIDE_HANDS.length);
    for (const one of BESIDE_HANDS) {
      const hands = new Proxy({} as Record<string, ReturnType<typeof vi.fn>>, {
        get: (all, name: string) => (all[name] ??= vi.fn()),
      });
      one.does(hands as unknown as BesideHands, true);
      expect(Object.keys(hands)).toEqual([one.hand]);
      expect(hands[one.hand]).toHaveBeenCalledOnce();
    }
    const step = vi.fn();
    BESIDE_HANDS.find((h) => h.key === 'ArrowLeft')!.does({ step } as unknown as BesideHands, true);
    expect(step).toHaveBeenCalledWith(-10);
  });
});
