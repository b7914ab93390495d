import { ref, watch } from 'vue';
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
  return { ...step, marking, wantsBall, keep };
}
