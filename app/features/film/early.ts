import { computed, shallowRef, watch, type ComputedRef } from 'vue';

/** What is being opened, and what is open: a snap each, by its number on the server. */
interface Opening {
  readonly opening: number | null;
  readonly snap: { readonly id: number } | null;
}

/** Keys pressed while a snap is being opened: meant for that one, and done once it is there. */
export function useEarly(
  film: Opening,
  does: (event: KeyboardEvent) => unknown,
): { keep: (event: KeyboardEvent) => void; held: ComputedRef<boolean> } {
  const early = shallowRef<readonly KeyboardEvent[]>([]);
  watch(
    () => film.opening,
    (now, meantFor) => {
      // The snap they were meant for could not be opened: they are no other's.
      if (now === null && film.snap?.id !== meantFor) early.value = [];
      while (film.opening === null && early.value.length) {
        const [first, ...rest] = early.value;
        early.value = rest;
        does(first!);
      }
    },
    { flush: 'post' },
  );
  return {
    keep: (event) => void (early.value = [...early.value, event]),
    held: computed(() => early.value.length > 0),
  };
}
