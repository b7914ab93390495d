import { computed, ref, shallowRef, watch, type Ref } from 'vue';
import type { Pixel } from '#core/model/calibration';
import type { FilmClip } from './steps';
import { whereIs } from './where-is';
import type { useMeasure } from './store';
import { comingPart } from '~/features/session/part';
import { attempting } from '~/features/session/attempt';

/** Staying near on one man through a play, where he was followed on the film. */
export function useStayOn(snapId: Ref<number | null>, man: Ref<string | null>) {
  /** What was measured: fetched, with all that measures, when somebody first stays on a man. */
  const measured = shallowRef<ReturnType<typeof useMeasure> | null>(null);
  const on = ref(false);
  /** What is in the way of it; empty when nothing is. */
  const problem = ref('');
  watch(snapId, () => ([on.value, problem.value] = [false, '']));

  const track = computed(() =>
    measured.value?.snap?.id === snapId.value
      ? measured.value?.tracks.find((t) => t.team === 'offence' && t.id === man.value)
      : undefined,
  );

  async function measuring(): Promise<typeof measured.value> {
    await attempting(problem)(async () => {
      measured.value ??= (await comingPart(import('./store'))).useMeasure();
    });
    return measured.value;
  }
  /** Stays on the man in hand, or lets him go again. */
  async function toggle(): Promise<void> {
    problem.value = '';
    if (on.value) return void (on.value = false);
    const id = snapId.value;
    if (id === null || man.value === null) return;
    const measure = await measuring();
    if (!measure) return;
    const isThere = measure.snap?.id === id || (await measure.open(id));
    // Somebody has gone on to another snap meanwhile.
    if (snapId.value !== id) return;
    if (!isThere) problem.value = measure.problem;
    else if (!track.value) problem.value = `${man.value} was not followed on this film: measure it first.`;
    else on.value = true;
  }

  /** Where he is on a frame of a clip, in shares of the picture; `null` when it does not stay on anybody. */
  const aimAt = (clip: FilmClip, frame: number): Pixel | null =>
    on.value && track.value && measured.value ? whereIs(track.value, measured.value, clip, frame) : null;

  return { on, problem, toggle, aimAt };
}
