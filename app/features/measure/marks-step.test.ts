import { createPinia, setActivePinia } from 'pinia';
import { computed, nextTick, ref } from 'vue';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Calibration } from '#core/model/calibration';
import { A_SIZE, aCalibration } from '#core/testing/a-calibration';
import { useMarksStep } from './marks-step';
import type { FilmClip } from './steps';
import { useMeasure } from './store';

const clip = (id: number): FilmClip => ({
  id,
  angle: 'end zone',
  framesPerSecond: 30,
  frames: 120,
  snapFrame: 24,
  contactFrame: 36,
  whistleFrame: 100,
});
beforeEach(() => setActivePinia(createPinia()));

function set(kept: Calibration | null = null) {
  const [lead, known] = [ref<FilmClip | null>(clip(5)), ref<Calibration | null>(kept)];
  const film = {
    lead,
    frame: ref(23),
    seconds: ref(0),
    size: computed(() => A_SIZE),
    kept: known,
    others: () => [],
    picture: () => null,
  };
  useMeasure().offered = { 5: { snap: 3, calibration: aCalibration() } };
  return { lead, known, step: useMarksStep(film) };
}

describe('field marks of a camera that stood still', () => {
  it('begin with those of the other snap, and ask for the ball alone', async () => {
    const { step } = set();
    expect(step.offered.value?.snap).toBe(3);
    step.takeOffered();
    await nextTick();
    expect(step.marking.marks.value).toEqual(aCalibration().marks);
    expect([step.marking.found.value !== null, step.marking.ball.value, step.wantsBall.value]).toEqual([
      true,
      null,
      true,
    ]);
    step.point({ x: 480, y: 300 });
    expect([step.marking.ball.value, step.wantsBall.value]).toEqual([{ x: 480, y: 300 }, false]);
    expect(step.offered.value).toBeNull();
  });

  it('are offered neither where the camera is known nor where marks are set, nor for another clip', async () => {
    expect(set(aCalibration()).step.offered.value).toBeNull();
    const { step, lead } = set();
    step.point({ x: 100, y: 100 });
    expect(step.offered.value).toBeNull();
    step.takeAway();
    expect(step.offered.value?.snap).toBe(3);
    lead.value = clip(6);
    await nextTick();
    expect(step.offered.value).toBeNull();
    step.takeOffered();
    expect(step.marking.marks.value).toEqual([]);
  });
});
