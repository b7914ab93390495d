import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it } from 'vitest';
import { ref } from 'vue';
import type { Cut } from '#core/film/recording/marks';
import { useCutting } from './cutting';
import { useRecording } from './store';
import { clockOf, lengthOf, sayLooked, sayPaired, saySnap } from './words';

beforeEach(() => setActivePinia(createPinia()));
const cut = (from: number, to: number, snap: number | null = null): Cut => ({ number: 0, from, snap, to });

/** A recording with two suggestions, at its first frame. */
function atStart() {
  const store = useRecording();
  store.suggested = [cut(300, 450, 360), cut(900, 1050)];
  const frame = ref(0);
  return { store, frame, cutting: useCutting(frame, (to) => void (frame.value = to)) };
}

describe('cutting a recording', () => {
  it('goes from one to the next and back, taken or suggested, to its snap where one is known', () => {
    const { store, frame, cutting } = atStart();
    store.take(cut(600, 700));
    const seen = [1, 1, 1, 1, -1, -1].map((by) => (cutting.next(by), frame.value));
    expect(seen).toEqual([360, 600, 900, 900, 600, 360]);
  });

  it('takes what is in hand and goes on; what is taken stays as it is', () => {
    const { store, frame, cutting } = atStart();
    cutting.next(1);
    cutting.take();
    expect([store.cuts.map((c) => c.from), frame.value]).toEqual([[300], 900]);
    frame.value = 400;
    cutting.take();
    expect([store.cuts.length, store.suggested.length, frame.value]).toEqual([1, 1, 900]);
  });

  it('marks where one begins, is snapped and is over', () => {
    const { store, frame, cutting } = atStart();
    for (const [at, mark] of [
      [1200, cutting.begin],
      [1260, cutting.snap],
      [1400, cutting.end],
    ] as const) {
      frame.value = at;
      mark();
    }
    expect(store.cuts).toEqual([{ number: 1, from: 1200, snap: 1260, to: 1400 }]);
    expect(cutting.begun.value).toBeNull();
  });

  it('forgets a snap marked before another beginning, and ends nothing that has not begun or goes backwards', () => {
    const { store, frame, cutting } = atStart();
    frame.value = 100;
    cutting.snap();
    cutting.end();
    frame.value = 1200;
    cutting.begin();
    cutting.end();
    frame.value = 1100;
    cutting.end();
    expect(store.cuts).toEqual([]);
    frame.value = 1300;
    cutting.end();
    expect(store.cuts).toEqual([{ number: 1, from: 1200, snap: null, to: 1300 }]);
  });

  it('says anew on which frame the ball of a taken one is snapped', () => {
    const { store, frame, cutting } = atStart();
    store.take(cut(600, 700));
    frame.value = 640;
    cutting.snap();
    expect(store.cuts[0]!.snap).toBe(640);
  });

  it('drops what is in hand, taken or suggested, and where nothing is what was begun', () => {
    const { store, frame, cutting } = atStart();
    store.take(cut(600, 700));
    for (const at of [650, 950]) {
      frame.value = at;
      cutting.drop();
    }
    expect([store.cuts, store.suggested.map((c) => c.from)]).toEqual([[], [300]]);
    frame.value = 1200;
    cutting.begin();
    frame.value = 1300;
    cutting.drop();
    expect(cutting.begun.value).toBeNull();
  });
});

describe('words of the cutting place', () => {
  it('count frames as a clock, also where a tenth makes a minute full', () => {
    expect([0, 45, 1799, 3610].map((f) => clockOf(f, 30))).toEqual(['0:00.0', '0:01.5', '1:00.0', '2:00.3']);
    expect(lengthOf(cut(10, 39), 30)).toBe('1.0 s');
    expect([saySnap(cut(0, 9), 30), saySnap(cut(0, 9, 6), 30)]).toEqual(['no snap seen', 'snap 0:00.2']);
  });
  it('say how far the looking is, and how another recording goes beside', () => {
    expect([null, 0, 1, 3].map(sayLooked)).toEqual([
      'Is being looked at for snaps …',
      '',
      '1 snap suggested',
      '3 snaps suggested',
    ]);
    expect([sayPaired(null, 0, 4), sayPaired(-6, 3, 4), sayPaired(0.5, 4, 4)]).toEqual([
      '',
      'It shows the same 6.00 s earlier; 3 of 4 are on it.',
      'It shows the same 0.50 s later; 4 of 4 are on it.',
    ]);
  });
});
