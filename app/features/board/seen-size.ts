import { unrefElement, useResizeObserver, type MaybeComputedElementRef } from '@vueuse/core';
import { ref, watch, type Ref } from 'vue';

/**
 * How large something is drawn, pixels, as the browser tells it when it has laid the page out; nothing until then and while it is not there.
 * Whoever measures it before makes the browser lay out everything in the middle of its work, and once more when that is done.
 */
export function useSeenSize(place: MaybeComputedElementRef): {
  readonly width: Ref<number>;
  readonly height: Ref<number>;
} {
  const [width, height] = [ref(0), ref(0)];
  useResizeObserver(place, ([seen]) => {
    width.value = seen!.contentRect.width;
    height.value = seen!.contentRect.height;
  });
  watch(
    () => unrefElement(place),
    (there) => {
      if (!there) width.value = height.value = 0;
    },
  );
  return { width, height };
}
