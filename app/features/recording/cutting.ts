import { computed, ref, type Ref } from 'vue';
import type { Cut } from '#core/film/recording/marks';
import { useRecording } from './store';

/** Marking where snaps begin and end on a recording, at the frame that is shown; `seek` shows another. */
export function useCutting(frame: Readonly<Ref<number>>, seek: (to: number) => void) {
  const store = useRecording();
  /** The frame on which a snap that is not over yet begins, and that on which its ball was snapped. */
  const begun = ref<number | null>(null);
  const snapped = ref<number | null>(null);

  /** All cuts in order, taken and suggested; the one around the frame is in hand. */
  const all = computed(() => [...store.cuts, ...store.suggested].sort((a, b) => a.from - b.from));
  const inHand = computed(() => all.value.find((c) => c.from <= frame.value && frame.value <= c.to) ?? null);
  const isTaken = (cut: Cut): boolean => store.cuts.includes(cut);

  const goTo = (cut: Cut | undefined): void => void (cut && seek(cut.snap ?? cut.from));
  function next(by: number): void {
    const beyond = by > 0 ? all.value.find((c) => c.from > frame.value) : all.value.findLast((c) => c.to < frame.value);
    goTo(beyond);
  }

  function begin(): void {
    [begun.value, snapped.value] = [frame.value, null];
  }
  function snap(): void {
    if (!store.snapAt(frame.value)) snapped.value = frame.value;
  }
  function end(): void {
    const from = begun.value;
    if (from === null || frame.value <= from) return;
    const isWithin = snapped.value !== null && snapped.value >= from && snapped.value <= frame.value;
    store.take({ number: store.first, from, snap: isWithin ? snapped.value : null, to: frame.value });
    [begun.value, snapped.value] = [null, null];
  }

  /** Takes what is suggested here, and goes on. */
  function take(): void {
    const cut = inHand.value;
    if (cut && !isTaken(cut)) store.take(cut);
    next(1);
  }
  /** Drops the one in hand; where none is, what was begun. */
  function drop(): void {
    const cut = inHand.value;
    if (!cut) return void (begun.value = null);
    if (isTaken(cut)) store.drop(cut);
    else store.dropSuggested(cut);
  }

  return { begun, all, inHand, isTaken, goTo, next, begin, snap, end, take, drop };
}
