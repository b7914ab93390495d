import { useWindowSize } from '@vueuse/core';
import { computed, type ComputedRef } from 'vue';

const TALLEST = 720;

/** How tall a board may be: what the window leaves above and below it, never less than its least. Pixels. */
export function useBoardHeight(least: number, others: number): ComputedRef<number> {
  const { height } = useWindowSize();
  return computed(() => Math.max(least, Math.min(TALLEST, height.value - others)));
}
