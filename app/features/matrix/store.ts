import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import type { Side } from '#core/model/side';
import type { Verdict } from '#core/model/resolution';
import { identify } from '#core/identify/identify';
import { sayMovement } from '#core/language/lineups/read-movement';
import { GENERAL_MOVES, type GeneralMove } from '#core/movement/menu';
import { workPlay } from '#core/movement/play';
import { prepareCall } from '#core/resolve/prepare/prepare-call';
import { explainFault } from '#core/resolve/judge/judge';
import { usePlaybook } from '~/features/playbook/store';

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
  const fronts = computed(() =>
    playbook.fronts.filter((f) => opponent.value === EVERYTHING || f.opponent === opponent.value),
  );

  const rows = computed<Row[]>(() =>
    playbook.book
      .list('schemes')
      .filter((e) => family.value === EVERYTHING || e.family === family.value)
      .flatMap((entry) => {
        const id = formation.value === AS_USUAL ? (entry.from ?? 'five-man') : formation.value;
        const [scheme, men] = [playbook.book.scheme(entry.id), playbook.book.formation(id)];
        if (!scheme.ok || !men.ok) return [];
        const prepared = prepareCall(scheme.value, men.value, { side: side.value, settings: playbook.settings });
        const cells = fronts.value.flatMap((f): Cell[] => {
          const front = playbook.book.front(f.id, men.value, playbook.settings);
          if (!front.ok) return [];
          const moves =
            move.value === STILL
              ? []
              : GENERAL_MOVES[move.value].of(
                  front.value,
                  identify(men.value, front.value, { side: side.value, settings: playbook.settings }).mike.id,
                );
          const { outcome, judgement } = workPlay(prepared, {
            ...front.value,
            movements: [...front.value.movements, ...moves],
          });
          return [
            {
              front: f.id,
              moves: moves.map(sayMovement).join(','),
              verdict: judgement.verdict,
              sentence:
                judgement.faults.map((x) => explainFault(outcome, x).message).join(' ') || 'Everybody has somebody.',
            },
          ];
        });
        return [
          {
            scheme: entry.id,
            name: entry.name,
            formation: id,
            formationName: playbook.book.name('formations', id),
            cells,
            sound: cells.filter((c) => c.verdict === 'sound').length,
          },
        ];
      }),
  );

  return { family, side, formation, opponent, move, families, opponents, fronts, rows };
});
