import { computed, ref, watch } from 'vue';
import { useMarking } from './marking';
import { NOTHING_DRAWN } from './overlay';
import type { OnFilm, OnStep } from './steps';
import { useMeasure } from './store';

/** Step 1: field marks of the clip that leads are named until they give its camera. */
export function useMarksStep({ lead, frame, size, kept }: OnFilm) {
  const store = useMeasure();
  const marking = useMarking(size, frame);
  /** The next click is the ball, whatever it is on. */
  const wantsBall = ref(false);
  watch(
    () => [lead.value?.id, kept.value] as const,
    () => marking.begin(kept.value),
    { immediate: true },
  );

  /** The camera of another snap from there, while this clip has none and nothing is marked on it. */
  const offered = computed(() =>
    lead.value && !kept.value && marking.marks.value.length === 0 ? (store.offered[lead.value.id] ?? null) : null,
  );
  /** Begins with the marks of that snap: the camera stood still, or its lines show how far it moved. The ball lies elsewhere now. */
  function takeOffered(): void {
    if (!offered.value) return;
    marking.begin(offered.value.calibration);
    marking.ball.value = null;
    wantsBall.value = true;
  }

  /** Sends the marks of the clip that leads; true when they gave a camera that is kept. */
  const keep = async (): Promise<boolean> =>
    marking.input.value !== null && lead.value !== null && store.calibrate(lead.value.id, marking.input.value);

  const step: OnStep = {
    point: (pixel) => {
      if (!wantsBall.value) return marking.click(pixel);
      [marking.ball.value, wantsBall.value] = [pixel, false];
    },
    takeAway: () => {
      const last = marking.marks.value.at(-1);
      if (last) marking.remove(last);
    },
    man: () => {},
    drawn: (clip, leads) =>
      leads
        ? {
            ...NOTHING_DRAWN,
            lines: true,
            calibration: marking.found.value,
            marks: marking.marks.value,
            expected: marking.expected.value,
            ball: marking.ball.value,
          }
        : { ...NOTHING_DRAWN, lines: true, calibration: store.calibrations[clip.id] ?? null },
  };
  return { ...step, marking, wantsBall, keep, offered, takeOffered };
}
