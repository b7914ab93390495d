import { computed, shallowRef, watch, type Ref } from 'vue';
import { framesElsewhere, type Colours } from '#core/film/alignment/assist';
import type { Calibration } from '#core/model/calibration';
import type { FilmClip } from './steps';

/**
 * Pictures of the clip that leads from moments when everybody has left the place he had at the snap, once somebody wants them: of a camera
 * that is known and stands still. Without them colours alone help, so that nothing is said where they cannot be had.
 */
export function useElsewhere(
  lead: Readonly<Ref<FilmClip | null>>,
  kept: Readonly<Ref<Calibration | null>>,
  wanted: Readonly<Ref<boolean>>,
  take: (clip: FilmClip, frames: readonly number[]) => Promise<readonly Colours[]>,
) {
  const taken = shallowRef<{ readonly clip: number; readonly pictures: readonly Colours[] } | null>(null);
  const clip = computed(() => (wanted.value && kept.value && !kept.value.moves ? lead.value : null));
  watch(
    () => clip.value?.id,
    async () => {
      const of = clip.value;
      if (!of || taken.value?.clip === of.id) return;
      taken.value = null;
      const frames = framesElsewhere(of);
      const pictures = frames.length ? await take(of, frames).catch(() => []) : [];
      if (clip.value?.id === of.id) taken.value = { clip: of.id, pictures };
    },
    { immediate: true },
  );
  return computed<readonly Colours[]>(() =>
    clip.value && taken.value?.clip === clip.value.id ? taken.value.pictures : [],
  );
}
