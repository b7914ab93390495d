import { useEventListener } from '@vueuse/core';
import { ref, type Ref } from 'vue';

/** For the room: film alone, over everything, without a grade. Where the browser does not give the whole screen, the window is what there is. */
export function useRoom(place: Ref<HTMLElement | null>) {
  const inRoom = ref(false);
  async function toggle(on = !inRoom.value): Promise<void> {
    inRoom.value = on;
    if (on) await place.value?.requestFullscreen().catch(() => undefined);
    else if (document.fullscreenElement) await document.exitFullscreen();
  }
  useEventListener(document, 'fullscreenchange', () => {
    if (!document.fullscreenElement) inRoom.value = false;
  });
  return { inRoom, toggle };
}
