import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import type { FoeRecord } from '#core/grade/difficulty';
import { request, RequestProblem } from '~/features/session/request';
import { comingPart } from '~/features/session/part';

const NOBODY: ReadonlyMap<string, FoeRecord> = new Map();

/** How blocks on an opponent's men have gone so far, by their letters: what stands beside a mark, and in no count. */
export const useFoes = defineStore('foes', () => {
  const records = shallowRef(NOBODY);
  const opponent = ref('');

  /** Asks for an opponent's men, once as long as he is the same; without them marks are given all the same. */
  async function load(wanted: string): Promise<void> {
    if (wanted === opponent.value) return;
    opponent.value = wanted;
    records.value = NOBODY;
    try {
      const words = new URLSearchParams({ by: 'foe', opponent: wanted });
      const [answer, { BookPageSchema }, { foeOf }] = await Promise.all([
        request(`/api/book?${words}`),
        comingPart(import('#core/grade/book/lines')),
        comingPart(import('#core/grade/book/marked')),
      ]);
      const { lines } = BookPageSchema.parse(answer);
      if (opponent.value !== wanted) return;
      records.value = new Map(lines.map((l) => [foeOf(l.key), l.counts.both]));
    } catch (problem) {
      if (!(problem instanceof RequestProblem)) throw problem;
      if (opponent.value === wanted) opponent.value = '';
    }
  }

  return { records, opponent, load };
});
