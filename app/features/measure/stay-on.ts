import { computed, ref, watch, type Ref } from 'vue';
import type { Pixel } from '#core/model/calibration';
import type { FilmClip } from './steps';
import { whereIs } from './where-is';
import { useMeasure } from './store';

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
  const aimAt = (clip: FilmClip, frame: number): Pixel | null =>
    on.value && track.value ? whereIs(track.value, measure, clip, frame) : null;

  return { on, problem, toggle, aimAt };
}
