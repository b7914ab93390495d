import { useRafFn } from '@vueuse/core';
import { computed, ref, watch, type Ref } from 'vue';
import { placesAt } from '#core/movement/run/places-at';
import type { Run } from '#core/movement/run/run';
import { lastFrame } from './moments';

/** A run on the board as film: where it stands, playing or still. Before the snap is frame 0. */
export function useClock(run: Ref<Run | null>) {
  const frame = ref(0);
  const last = computed(() => lastFrame(run.value));
  let at = 0;
  const raf = useRafFn(
    ({ delta }) => {
      at += delta / 1000 / (run.value?.step ?? 1);
      frame.value = Math.min(last.value, Math.round(at));
      if (frame.value >= last.value) raf.pause();
    },
    { immediate: false },
  );

  function go(to: number): void {
    raf.pause();
    frame.value = Math.max(0, Math.min(last.value, Math.round(to)));
  }
  function toggle(): void {
    if (raf.isActive.value) return raf.pause();
    if (frame.value >= last.value) frame.value = 0;
    at = frame.value;
    raf.resume();
  }
  watch(run, () => {
    if (frame.value > last.value) go(last.value);
  });

  /** Everybody's place at this moment, by name, the ball among them; `null` before the snap. */
  const places = computed(() => (run.value ? placesAt(run.value, frame.value) : null));
  return {
    frame,
    last,
    places,
    playing: raf.isActive,
    seconds: computed(() => frame.value * (run.value?.step ?? 0)),
    go,
    toggle,
  };
}
