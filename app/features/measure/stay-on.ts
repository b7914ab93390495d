import { computed, ref, watch, type Ref } from 'vue';
import { project } from '#core/film/calibrate/camera';
import { cameraDuring } from '#core/film/follow/carried';
import { sinceSnap } from '#core/film/frames';
import type { Pixel } from '#core/model/calibration';
import type { FilmClip } from './steps';
import { useMeasure } from './store';

/** The height of a man that a picture stays on, feet. */
const CHEST = 3;

/** Staying near on one man through a play, where he was followed on the film. */
export function useStayOn(snapId: Ref<number | null>, man: Ref<string | null>) {
  const measure = useMeasure();
  const on = ref(false);
  /** What is in the way of it; empty when nothing is. */
  const problem = ref('');
  watch(snapId, () => ([on.value, problem.value] = [false, '']));

  const track = computed(() =>
    measure.snap?.id === snapId.value
      ? measure.tracks.find((t) => t.team === 'offence' && t.id === man.value)
      : undefined,
  );

  /** Stays on the man in hand, or lets him go again. */
  async function toggle(): Promise<void> {
    problem.value = '';
    if (on.value) return void (on.value = false);
    if (snapId.value === null || man.value === null) return;
    if (measure.snap?.id !== snapId.value && !(await measure.open(snapId.value))) problem.value = measure.problem;
    else if (!track.value) problem.value = `${man.value} was not followed on this film: measure it first.`;
    else on.value = true;
  }

  /** Where he is on a frame of a clip, in shares of the picture; `null` when it does not stay on anybody. */
  function aimAt(clip: FilmClip, frame: number): Pixel | null {
    const { followed } = measure.measuring;
    const calibration = measure.calibrations[clip.id];
    if (!on.value || !track.value || !followed || !calibration) return null;
    const seconds = sinceSnap(frame, clip.snapFrame, clip.framesPerSecond);
    const at = Math.round((seconds - followed.start) * followed.framesPerSecond);
    const place = track.value.places[Math.max(0, Math.min(track.value.places.length - 1, at))]!;
    const { spot, width, height } = calibration;
    const there = { x: spot.x + place.x, y: spot.y + place.y, z: CHEST };
    const pixel = project(cameraDuring(calibration, clip.angle, followed, seconds), there, calibration);
    return pixel && { x: pixel.x / width, y: pixel.y / height };
  }

  return { on, problem, toggle, aimAt };
}
