import { createPinia, setActivePinia } from 'pinia';
import { computed, nextTick, ref } from 'vue';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { resolveCall, workCall } from '#core/calls/resolve-call';
import type { Colours } from '#core/film/alignment/assist';
import type { Calibration, Pixel } from '#core/model/calibration';
import { identify } from '#core/identify/identify';
import { NOTHING_MEASURED } from '#core/model/measured';
import { A_CALL } from '#core/testing/a-call';
import { A_SIZE, aCalibration } from '#core/testing/a-calibration';
import { need } from '#core/testing/need';
import { aSnap } from '~/testing/a-snap';
import { useFeetStep } from './feet-step';
import { menOf, seenFromBall } from './men';
import type { FilmClip } from './steps';
import { useMeasure } from './store';

const CLIP: FilmClip = {
  ...{ id: 5, angle: 'end zone', framesPerSecond: 30, frames: 120 },
  ...{ snapFrame: 24, contactFrame: 36, whistleFrame: 100 },
};
const calibration = aCalibration();
const men = menOf(need(workCall(A_CALL)));
const named = (id: string) => men.find((m) => m.id === id)!;
/** Where the camera sees a man's feet. */
const feetOf = (id: string): Pixel => seenFromBall(calibration, named(id), calibration)!;

/** Turf with a man standing at a place. */
function pictureWith({ x: at, y: below }: Pixel, kit = [80, 40, 130]): Colours {
  const { width, height } = A_SIZE;
  const data = new Uint8ClampedArray(width * height * 4);
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const isMan = Math.abs(x - at) < 14 && y <= below + 2 && y > below - 80;
      data.set(isMan ? [...kit, 255] : [52, 110, 62, 255], 4 * (y * width + x));
    }
  return { width, height, data };
}

let shown: Colours | null;
/** What the film shows when everybody is elsewhere. */
let later: readonly Colours[];
const lead = ref(CLIP);
beforeEach(() => {
  setActivePinia(createPinia());
  shown = pictureWith(feetOf('LG'));
  lead.value = CLIP;
  later = [];
  vi.stubGlobal('$fetch', async (url: string, { method }: { method: string }) => {
    if (method !== 'GET') return { revision: 1 };
    if (url.endsWith('/measuring'))
      return { revision: 0, measuring: NOTHING_MEASURED, calibrations: { 5: calibration }, offered: {} };
    return aSnap(11, { call: A_CALL, resolution: need(resolveCall(A_CALL)), clips: [CLIP] });
  });
});
afterEach(() => vi.unstubAllGlobals());

async function set(kept: Calibration | null = calibration) {
  await useMeasure().open(11);
  const film = {
    ...{ lead, frame: ref(23), seconds: ref(0), size: computed(() => A_SIZE) },
    ...{ kept: ref(kept), picture: () => shown, others: () => later },
  };
  return useFeetStep(film);
}
const clicked = (id: string): Pixel | undefined => useMeasure().measuring.atSnap.find((f) => f.id === id)?.pixel;
const beside = (id: string): Pixel => ({ x: feetOf(id).x + 4, y: feetOf(id).y - 3 });

describe('a click on somebody’s feet', () => {
  it('goes to the feet beside it, and is his who stands there', async () => {
    (await set()).point(beside('LG'));
    expect(clicked('LG')!.x).toBeCloseTo(feetOf('LG').x, 0);
    expect(Math.abs(clicked('LG')!.y - feetOf('LG').y)).toBeLessThan(2.5);
  });

  it('goes to feet that cannot be told from the ground by their colour, where the film shows the ground later', async () => {
    shown = pictureWith(feetOf('LG'), [74, 158, 88]);
    const step = await set();
    step.point(beside('LG'));
    expect(clicked('LG')).toEqual(beside('LG'));
    later = [1, 2, 3].map(() => pictureWith({ x: -100, y: -100 }));
    step.point(beside('LG'));
    expect(clicked('LG')!.x).toBeCloseTo(feetOf('LG').x, 0);
  });

  it('stays where it is once somebody has said whose feet they are, or wants no help', async () => {
    const step = await set();
    step.man(2);
    expect(step.next.value!.id).toBe('C');
    step.point(beside('LG'));
    expect([clicked('C'), clicked('LG')]).toEqual([beside('LG'), undefined]);
    step.assists.value = false;
    await nextTick();
    step.point(beside('LG'));
    expect(clicked('LG')).toEqual(beside('LG'));
  });

  it('stays where it is without a picture, and where nobody stands', async () => {
    shown = null;
    const step = await set();
    step.point(beside('LG'));
    expect(clicked('LG')).toEqual(beside('LG'));
    shown = pictureWith({ x: 40, y: 100 });
    step.point(beside('RG'));
    expect(clicked('RG')).toEqual(beside('RG'));
  });

  it('stays where it is while the camera is not known', async () => {
    const step = await set(null);
    const first = step.next.value!.id;
    step.point(beside('LG'));
    expect(clicked(first)).toEqual(beside('LG'));
  });
});

describe('both feet of a lineman', () => {
  const kept = () => useMeasure().measuring.stances;
  /** Clicks on his feet, so many feet apart, the left one first. */
  const bothOf = (id: string, apart = 2): Pixel[] => {
    const { x, y } = named(id);
    return [-1, 1].map((side) => seenFromBall(calibration, { x: x + (side * apart) / 2, y }, calibration)!);
  };

  it('are clicked one man after the other from the left, and say how he stands', async () => {
    const { point, stances } = await set();
    stances.toggle();
    expect(stances.next.value!.id).toBe('LT');
    const [left, right] = bothOf('LT');
    point(left!);
    expect([stances.foot.value, kept()]).toEqual([left, []]);
    point(right!);
    expect(kept()).toEqual([{ id: 'LT', team: 'offence', angle: 'end zone', pixels: [left, right] }]);
    expect([stances.foot.value, stances.next.value!.id]).toEqual([null, 'LG']);
    expect(stances.sayOf(named('LT'))).toMatch(/^feet 24 ± \d in apart; /);
    expect(stances.sayOf(named('LG'))).toBe('');
    expect(useMeasure().measuring.atSnap).toEqual([]);
  });

  it('are taken back one by one, and clicked again for whom one names', async () => {
    const { point, takeAway, man, stances } = await set();
    stances.toggle();
    for (const id of ['LT', 'LG']) for (const foot of bothOf(id)) point(foot);
    point(bothOf('C')[0]!);
    takeAway();
    expect([stances.foot.value, kept().map((s) => s.id)]).toEqual([null, ['LT', 'LG']]);
    takeAway();
    expect([kept().map((s) => s.id), stances.next.value!.id]).toEqual([['LT'], 'LG']);
    man(-1);
    expect(stances.next.value!.id).toBe('LT');
    for (const foot of bothOf('LT', 3)) point(foot);
    expect(kept()).toHaveLength(1);
    expect(stances.sayOf(named('LT'))).toMatch(/^feet 36 ± \d in apart/);
  });

  it('are nobody’s once the line is through, and clicks are places again when one leaves them', async () => {
    const { point, man, stances, next, drawn } = await set();
    stances.toggle();
    for (const id of ['LT', 'LG', 'C', 'RG', 'RT']) for (const foot of bothOf(id)) point(foot);
    expect(stances.next.value).toBeNull();
    point(bothOf('C')[0]!);
    expect([stances.foot.value, kept().length]).toEqual([null, 5]);
    man(1);
    point(bothOf('LT')[0]!);
    expect(drawn(CLIP, true)).toMatchObject({ foot: bothOf('LT')[0], stances: { length: 5 } });
    expect(drawn({ ...CLIP, angle: 'sideline' }, false)).toMatchObject({ foot: null, stances: [] });
    stances.toggle();
    expect([stances.foot.value, next.value!.id]).toEqual([null, 'LT']);
    point(beside('LG'));
    expect(clicked('LG')).toBeDefined();
  });

  it('are two of one picture: the first is forgotten when the other angle leads', async () => {
    const { point, stances } = await set();
    stances.toggle();
    point(bothOf('LT')[0]!);
    lead.value = { ...CLIP, id: 6, angle: 'sideline' };
    expect(stances.foot.value).toBeNull();
    for (const foot of bothOf('LT')) point(foot);
    expect(kept().map((s) => s.angle)).toEqual(['sideline']);
  });

  it('are of whom else of ours one names, and of nobody of theirs', async () => {
    const { point, stances } = await set();
    stances.toggle();
    stances.choose(named('H'));
    for (const foot of bothOf('H')) point(foot);
    expect([kept().map((s) => s.id), stances.next.value!.id]).toEqual([['H'], 'LT']);
    expect(['LT', 'H', 'T'].map((id) => stances.isMeasured(named(id)))).toEqual([true, true, false]);
  });

  it('say nothing while the camera is not known', async () => {
    const { point, stances } = await set(null);
    useMeasure().calibrations = {};
    stances.toggle();
    for (const foot of bothOf('LT')) point(foot);
    expect([kept().length, stances.sayOf(named('LT'))]).toEqual([1, '']);
  });
});

describe('everybody’s feet at the snap', () => {
  /** The step with so many men clicked where the call has them, one after the other. */
  async function withClicked(ids: readonly string[]) {
    const step = await set();
    step.assists.value = false;
    for (const id of ids) {
      step.chosen.value = named(id);
      step.point(feetOf(id));
    }
    return step;
  }
  const ids = (team: 'offence' | 'defence'): string[] => men.filter((m) => m.team === team).map((m) => m.id);
  const atSnap = () => useMeasure().measuring.atSnap.map((f) => `${f.id} ${f.angle}`);

  it('are asked for one man after the other, of each angle anew', async () => {
    const { next, point } = await withClicked(['LG', 'LT']);
    expect(next.value!.id).toBe('C');
    lead.value = { ...CLIP, id: 6, angle: 'sideline' };
    expect(next.value!.id).toBe('LT');
    point(feetOf('LT'));
    expect([next.value!.id, atSnap()]).toEqual(['LG', ['LG end zone', 'LT end zone', 'LT sideline']]);
  });

  it('are of whom one names once, then of the first who is missing again', async () => {
    const { next, man, chosen } = await withClicked([]);
    man(1);
    expect(next.value!.id).toBe('LG');
    man(1);
    expect(next.value!.id).toBe('C');
    man(-1);
    expect([next.value!.id, chosen.value!.id]).toEqual(['LG', 'LG']);
    const after = await withClicked(['LG']);
    expect([after.chosen.value, after.next.value!.id]).toEqual([null, 'LT']);
  });

  it('are nobody’s once all are clicked, unless somebody stands there', async () => {
    const all = men.map((m) => m.id);
    const { next, point } = await withClicked(all);
    expect(next.value).toBeNull();
    point({ x: 5, y: 5 });
    expect(atSnap()).toEqual(all.map((id) => `${id} end zone`));
    point({ x: feetOf('LT').x + 1, y: feetOf('LT').y });
    expect(clicked('LT')!.x).toBeCloseTo(feetOf('LT').x + 1, 6);
  });

  it('are taken away from the last on, in the angle that leads', async () => {
    const { takeAway } = await withClicked(['LT', 'LG']);
    lead.value = { ...CLIP, id: 6, angle: 'sideline' };
    takeAway();
    expect(atSnap()).toEqual(['LT end zone', 'LG end zone']);
    lead.value = CLIP;
    takeAway();
    expect(atSnap()).toEqual(['LT end zone']);
    takeAway();
    takeAway();
    expect(atSnap()).toEqual([]);
  });

  it('make the front that was called, and none before a defender is clicked', async () => {
    const ours = await withClicked(ids('offence'));
    expect([ours.read.value, ours.family.value]).toEqual([null, 'not known yet']);
    const { read, family } = await withClicked([...ids('offence'), ...ids('defence')]);
    const { formation, front } = need(workCall(A_CALL));
    const { name, subNames } = identify(formation, front).family;
    expect(subNames.length).toBeGreaterThan(0);
    expect(family.value).toBe([name, ...subNames].join(', '));
    expect(read.value!.front.defenders.map((d) => d.id).sort()).toEqual(ids('defence').sort());
  });

  it('are drawn where they are clicked or would be, and who is next only in the picture that leads', async () => {
    const { drawn } = await withClicked(['LT']);
    const stateOf = (id: string, leads: boolean) => drawn(CLIP, leads).men.find((m) => m.id === id)!.state;
    expect(['LT', 'LG', 'C'].map((id) => stateOf(id, true))).toEqual(['clicked', 'next', 'guess']);
    expect(['LT', 'LG', 'C'].map((id) => stateOf(id, false))).toEqual(['clicked', 'guess', 'guess']);
    expect(drawn(CLIP, true).calibration).toEqual(calibration);
    expect(drawn({ ...CLIP, id: 99 }, true)).toMatchObject({ calibration: null, men: [{ id: 'LT' }] });
  });
});
