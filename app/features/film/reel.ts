import { computed, ref, shallowRef } from 'vue';
import { filterOfQuery } from '#core/grade/book/dimensions';
import type { BookSnap } from '#core/grade/book/lines';
import { MEASURE_IDS, type Measure } from '#core/grade/book/measures';
import { attempting } from '~/features/session/attempt';
import { readSnaps } from '~/features/book/store';

/** More than anybody watches in a row. */
const MOST = 200;

/** Snaps behind a number of the Book, watched one after the other, over as many games as they are from. */
export function useReel() {
  const words = ref('');
  const snaps = shallowRef<readonly BookSnap[]>([]);
  const at = ref(0);
  const problem = ref('');
  const attempt = attempting(problem);
  const current = computed<BookSnap | null>(() => snaps.value[at.value] ?? null);

  /** Takes up the reel an address names, at the snap that is shown; no words, no reel. */
  async function open(reel: string, snapId: number | null): Promise<void> {
    if (reel !== words.value) {
      words.value = reel;
      snaps.value = [];
      if (!reel) return;
      await attempt(async () => {
        const query = queryOf(reel);
        const measure = MEASURE_IDS.find((m) => m === query.measure) ?? ('both' as Measure);
        const found = await readSnaps(filterOfQuery(query), measure, 0, MOST);
        if (words.value === reel) snaps.value = found.snaps;
      });
    }
    const shown = snaps.value.findIndex((s) => s.snapId === snapId);
    if (current.value?.snapId !== snapId && shown >= 0) at.value = shown;
  }

  /** The snap so many on, or `null` past an end; two men of one snap are two steps. */
  function step(by: number): BookSnap | null {
    const next = snaps.value[at.value + by] ?? null;
    if (next) at.value += by;
    return next;
  }
  return { words, snaps, at, current, problem, open, step };
}

/** The words of an address; said more than once they are a list. */
function queryOf(words: string): Record<string, string | string[]> {
  const query: Record<string, string | string[]> = {};
  for (const [key, value] of new URLSearchParams(words)) {
    const there = query[key];
    query[key] = there === undefined ? value : [there, value].flat();
  }
  return query;
}
