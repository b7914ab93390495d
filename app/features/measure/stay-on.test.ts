import { createPinia, setActivePinia } from 'pinia';
import { nextTick, ref } from 'vue';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { resolveCall } from '#core/calls/resolve-call';
import { calibrate } from '#core/film/calibrate/calibrate';
import { project } from '#core/film/calibrate/camera';
import { HASH } from '#core/film/calibrate/field-marks';
import type { FilmCamera } from '#core/model/calibration';
import { NOTHING_MEASURED } from '#core/model/measured';
import { A_CALL } from '#core/testing/a-call';
import { useStayOn } from './stay-on';

const SIZE = { width: 960, height: 540 };
const CAMERA: FilmCamera = { at: { x: 1, y: 14, z: 27 }, pan: 0, tilt: 0.28, roll: 0, focal: 1.6, barrel: -0.1 };
const see = (x: number, y: number, z = 0) => project(CAMERA, { x, y, z }, SIZE)!;
const found = calibrate({
  field: 'high school',
  frame: 23,
  ...SIZE,
  marks: [35, 40, 45].flatMap((yard) => [
    { yard, across: 'left hash' as const, pixel: see(-HASH['high school'], yard * 3) },
    { yard, across: 'right hash' as const, pixel: see(HASH['high school'], yard * 3) },
  ]),
  ball: see(0, 99.46, 0.28),
});
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
      return { revision: 1, measuring: measured, calibrations: found.ok ? { 5: found.value } : {} };
    return { id: 7, number: 7, call: A_CALL, resolution: resolution.ok && resolution.value, clips: [clip], grades: [] };
  });
});
afterEach(() => vi.unstubAllGlobals());

describe('staying on a man', () => {
  it('keeps where he is in the middle, frame by frame', async () => {
    const stay = useStayOn(ref(7), ref('RG'));
    expect(stay.aimAt(clip, 24)).toBeNull();
    await stay.toggle();
    const share = (x: number) => see(x, 98, 3).x / SIZE.width;
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
