import { StorageSerializers, useSessionStorage } from '@vueuse/core';
import { computed, type Ref } from 'vue';

/** What is chosen to be seen side by side: one snap held, then another one. */
export function useHeldRep(snap: Ref<{ readonly id: number } | null>, numberOf: (id: number) => number | undefined) {
  const held = useSessionStorage<number | null>('violet-chalk-rep', null, { serializer: StorageSerializers.number });

  /** Holds this snap, lets it go again, or gives both where another one is held. */
  function choose(): { one: number; two: number } | null {
    const now = snap.value?.id;
    if (now === undefined) return null;
    const one = held.value;
    held.value = one === null ? now : null;
    return one === null || one === now ? null : { one, two: now };
  }
  const says = computed(() => {
    if (held.value === null) return 'beside';
    if (held.value === snap.value?.id) return 'held: now the other rep';
    return `beside snap ${numberOf(held.value) ?? ''}`;
  });
  return { held, choose, says };
}
