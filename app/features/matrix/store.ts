import { defineStore } from 'pinia';
import { computed, ref, watch } from 'vue';
import type { Side } from '#core/model/side';
import type { Verdict } from '#core/model/resolution';
import type { AnswersJob } from '#core/calls/answers-job';
import type { GeneralMove } from '#core/movement/menu';
import { usePlaybook } from '~/features/playbook/store';
import { useAnswers } from '~/workers/start';

export interface Cell {
  front: string;
  moves: string;
  verdict: Verdict;
  sentence: string;
}
export interface Row {
  scheme: string;
  name: string;
  formation: string;
  formationName: string;
  cells: Cell[];
  sound: number;
}

export const EVERYTHING = 'all';
export const AS_USUAL = 'usual';
export const STILL = 'still';

/** Every play against every front: the verdict, and in one sentence why. */
export const useMatrix = defineStore('matrix', () => {
  const playbook = usePlaybook();
  const family = ref(EVERYTHING);
  const side = ref<Side>('right');
  const formation = ref(AS_USUAL);
  const opponent = ref(EVERYTHING);
  /** What every front does after the snap. */
  const move = ref<GeneralMove | typeof STILL>(STILL);

  const families = computed(() => playbook.plays.map((p) => p.family));
  const opponents = computed(() =>
    [...new Set(playbook.fronts.map((f) => f.opponent).filter((o): o is string => o !== null))].sort(),
  );
  const inBook = computed(() =>
    playbook.fronts.filter((f) => opponent.value === EVERYTHING || f.opponent === opponent.value),
  );
  /** What the league allows; an opponent's own fronts were seen, whatever the rules say. */
  const fronts = computed(() => inBook.value.filter((f) => f.against === '' || f.opponent !== null));
  const leftOut = computed(() => inBook.value.length - fronts.value.length);

  /** The plays that are asked, in the order of the book. */
  const asked = computed(() =>
    playbook.schemes
      .filter((e) => family.value === EVERYTHING || e.family === family.value)
      .map((e) => ({
        entry: e,
        formation: formation.value === AS_USUAL ? (e.from ?? 'five-man') : formation.value,
      })),
  );
  const answers = useAnswers();
  /** Nothing is worked out before a place that shows it has been opened. */
  const isOpen = ref(false);
  const job = computed<AnswersJob>(() => ({
    own: playbook.ownTexts,
    settings: playbook.settings,
    calls: asked.value.map(({ entry, formation: from }) => ({
      scheme: { id: entry.id },
      formation: from,
      side: side.value,
      tags: [],
      without: [],
    })),
    fronts: fronts.value.map((f) => f.id),
    move: move.value === STILL ? null : move.value,
  }));
  watch([isOpen, job], () => isOpen.value && answers.ask(job.value), { flush: 'post' });
  const open = (): void => void (isOpen.value = true);

  /** Rows fill as their answers come. */
  const rows = computed<Row[]>(() => {
    const cells = new Map<number, Cell[]>();
    for (const { call, front, moves, verdict, sentence } of answers.found.value) {
      const row = cells.get(call) ?? [];
      if (row.length === 0) cells.set(call, row);
      row.push({ front, moves, verdict, sentence: sentence || 'Everybody has somebody.' });
    }
    return asked.value.map(({ entry, formation: from }, call) => {
      const found = cells.get(call) ?? [];
      return {
        scheme: entry.id,
        name: entry.name,
        formation: from,
        formationName: playbook.book.name('formations', from),
        cells: found,
        sound: found.filter((c) => c.verdict === 'sound').length,
      };
    });
  });
  const total = computed(() => job.value.calls.length * job.value.fronts.length);
  const { done, running, problem } = answers;

  return {
    family,
    side,
    formation,
    opponent,
    move,
    families,
    opponents,
    fronts,
    leftOut,
    rows,
    total,
    done,
    running,
    problem,
    open,
  };
});
