import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { bookLines, worth, type BookLine, type MarkRow, type Measure } from '#core/grade/book';
import { request, RequestProblem } from '~/features/session/request';
import { schemeName } from '~/features/board/scheme-names';
import { upperFirst } from '~/features/board/words';
import { BLOCKS, type BlockId } from '#core/vocabulary/index';

const LINE_ORDER = ['LT', 'LG', 'C', 'RG', 'RT', 'Y', 'H', 'F', 'B'];
const inLine = (a: MarkRow, b: MarkRow): number => LINE_ORDER.indexOf(a.blocker) - LINE_ORDER.indexOf(b.blocker);

/** The marks as numbers, each of which can be opened. */
export const useBook = defineStore('book', () => {
  const rows = shallowRef<MarkRow[]>([]);
  const problem = ref('');
  const loaded = ref(false);
  const opened = shallowRef<{ title: string; measure: Measure; rows: readonly MarkRow[] } | null>(null);

  async function load(): Promise<void> {
    try {
      rows.value = await request<MarkRow[]>('/api/marks');
      problem.value = '';
    } catch (failure) {
      if (!(failure instanceof RequestProblem)) throw failure;
      problem.value = failure.message;
    }
    loaded.value = true;
  }

  const byMan = computed(() =>
    bookLines([...rows.value].sort(inLine), (r) => `${r.blocker} ${r.playerNumber ?? ''} ${r.playerName}`),
  );
  const byPlay = computed(() => bookLines(rows.value, (r) => `${schemeName(r.scheme)} ${r.side}`));
  const byBlock = computed(() => bookLines(rows.value, (r) => upperFirst(BLOCKS[r.block as BlockId]?.name ?? r.block)));

  function open(line: BookLine, measure: Measure): void {
    const order = (r: MarkRow): number => {
      const w = worth(r.grade, measure);
      return w === false ? 0 : w === null ? 1 : 2;
    };
    opened.value = {
      title: line.key,
      measure,
      rows: [...line.rows].sort((a, b) => order(a) - order(b) || a.snapNumber - b.snapNumber),
    };
  }

  return { rows, problem, loaded, opened, byMan, byPlay, byBlock, load, open };
});
