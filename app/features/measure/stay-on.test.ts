import { createPinia, setActivePinia } from 'pinia';
import { nextTick, ref } from 'vue';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { resolveCall } from '#core/calls/resolve-call';
import { NOTHING_MEASURED } from '#core/model/measured';
import { A_CALL } from '#core/testing/a-call';
import { A_SIZE, aCalibration, seenAt } from '#core/testing/a-calibration';
import { useStayOn } from './stay-on';

const clip = {
  id: 5,
  angle: 'end zone',
  framesPerSecond: 30,
  frames: 120,
  snapFrame: 24,
  contactFrame: 36,
  whistleFrame: 100,
};
const resolution = resolveCall(A_CALL);
const followed = {
  framesPerSecond: 30,
  start: 0,
  carried: [],
  tracks: [{ id: 'RG', team: 'offence', places: Array.from({ length: 31 }, (_, f) => [4 + f * 0.1, -1, 0.1, 1]) }],
};

let measured: unknown;
beforeEach(() => {
  setActivePinia(createPinia());
  measured = { ...NOTHING_MEASURED, followed };
  vi.stubGlobal('$fetch', async (url: string) => {
    if (measured === null) throw new Error('gone');
    if (url.endsWith('/measuring'))
      return { revision: 1, measuring: measured, calibrations: { 5: aCalibration() }, offered: {} };
    const id = Number(/\d+/.exec(url)![0]);
    return { id, number: id, call: A_CALL, resolution: resolution.ok && resolution.value, clips: [clip], grades: [] };
  });
});
afterEach(() => vi.unstubAllGlobals());

describe('staying on a man', () => {
  it('keeps where he is in the middle, frame by frame', async () => {
    const stay = useStayOn(ref(7), ref('RG'));
    expect(stay.aimAt(clip, 24)).toBeNull();
    await stay.toggle();
    const share = (x: number) => seenAt(x, 98, 3).x / A_SIZE.width;
    expect(stay.aimAt(clip, 24)!.x).toBeCloseTo(share(4), 2);
    expect(stay.aimAt(clip, 54)!.x).toBeCloseTo(share(7), 2);
    expect(stay.aimAt(clip, 119)).toEqual(stay.aimAt(clip, 54));
    await stay.toggle();
    expect(stay.aimAt(clip, 24)).toBeNull();
  });
  it('says what is in the way: nobody followed, or no server', async () => {
    measured = NOTHING_MEASURED;
    const stay = useStayOn(ref(7), ref('RG'));
    await stay.toggle();
    expect([stay.on.value, stay.problem.value]).toEqual([false, 'RG was not followed on this film: measure it first.']);
    measured = null;
    const other = useStayOn(ref(8), ref('RG'));
    await other.toggle();
    expect(other.problem.value).toMatch(/cannot be reached/);
    measured = { ...NOTHING_MEASURED, followed };
    await other.toggle();
    expect([other.on.value, other.problem.value]).toEqual([true, '']);
  });
  it('is of our man, not of theirs who is called the same', async () => {
    const [ours] = followed.tracks;
    measured = { ...NOTHING_MEASURED, followed: { ...followed, tracks: [{ ...ours, team: 'defence' }] } };
    const stay = useStayOn(ref(7), ref('RG'));
    await stay.toggle();
    expect([stay.on.value, stay.problem.value]).toEqual([false, 'RG was not followed on this film: measure it first.']);
  });
  it('is of nobody where one has gone on to another snap meanwhile', async () => {
    const snap = ref<number | null>(7);
    const stay = useStayOn(snap, ref('RG'));
    const staying = stay.toggle();
    snap.value = 9;
    await staying;
    expect([stay.on.value, stay.problem.value, stay.aimAt(clip, 24)]).toEqual([false, '', null]);
  });
  it('asks for what was measured once a snap', async () => {
    const stay = useStayOn(ref(7), ref('RG'));
    await stay.toggle();
    await stay.toggle();
    measured = null;
    await stay.toggle();
    expect([stay.on.value, stay.problem.value]).toEqual([true, '']);
  });
  it('does nothing without a man, and lets go with the snap', async () => {
    const [snap, man] = [ref<number | null>(7), ref<string | null>(null)];
    const stay = useStayOn(snap, man);
    await stay.toggle();
    expect(stay.on.value).toBe(false);
    man.value = 'RG';
    await stay.toggle();
    expect(stay.on.value).toBe(true);
    snap.value = 9;
    await nextTick();
    expect(stay.on.value).toBe(false);
  });
});
