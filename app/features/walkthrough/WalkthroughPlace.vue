<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core';
import { computed, onMounted, ref, watch } from 'vue';
import { sayProblems } from '~/features/board/refusal';
import { boardScale, columnsUnder, PASS_DEPTH } from '~/features/board/scale';
import BoardFile from '~/features/board/BoardFile.vue';
import LineBoard from '~/features/board/LineBoard.vue';
import ManColumns from '~/features/board/ManColumns.vue';
import { useBoardHeight } from '~/features/board/room';
import { useSeenSize } from '~/features/board/seen-size';
import { blockName, stepWords, upperFirst } from '~/features/board/words';
import { BLOCKS, type BlockId } from '#core/vocabulary/index';
import PressureLanes from '~/features/board/PressureLanes.vue';
import { useRoster } from '~/features/roster/store';
import { atRest } from '~/features/session/at-rest';
import { inField } from '~/features/hands/in-field';
import BoardSide from './BoardSide.vue';
import CallSentence from './CallSentence.vue';
import { useBoardAddress } from './address';
import { useClock } from './clock';
import TimeBar from './TimeBar.vue';
import { useWalkthrough } from './store';

const board = useWalkthrough();
const roster = useRoster();
useBoardAddress();
onMounted(roster.load);

const area = ref<HTMLElement | null>(null);
/** Drawn once it is known how wide: the first drawing is the one that is seen. */
const { width } = useSeenSize(area);
const height = useBoardHeight(372, 470);
const scale = computed(() =>
  board.formation && width.value > 0
    ? boardScale(board.formation, Math.max(600, width.value), height.value, {
        front: board.front,
        ...(board.resolution?.passing ? { shallow: PASS_DEPTH } : {}),
      })
    : null,
);
const assigned = computed(() => new Map(board.resolution?.assignments.map((a) => [a.blocker, a]) ?? []));
const columns = computed(() =>
  board.formation && scale.value
    ? columnsUnder(
        board.formation.men.filter((m) => assigned.value.has(m.id)),
        scale.value,
      )
    : [],
);
/** Where each blocker ends up: where a rusher he has is stopped. */
const sets = computed(
  () => new Map(board.resolution?.assignments.map((a) => [a.blocker, a.path[a.path.length - 1]!]) ?? []),
);
const showWhy = ref(false);
/** The board comes first, as everybody stands; the play in time is much work, and is worked out once it is seen. */
const isDrawn = ref(false);
watch(
  () => scale.value !== null,
  (drawn) => {
    if (drawn) void atRest().then(() => (isDrawn.value = true));
  },
  { flush: 'post', immediate: true },
);
const run = computed(() => (isDrawn.value ? board.run : null));
/** When each man meets his, by that run. */
const arrivals = computed<typeof board.arrivals>(() => (run.value ? board.arrivals : new Map()));
const clock = useClock(run);
/** Whoever asks for the play before has it at once. */
function inTime(act: () => void): void {
  isDrawn.value = true;
  act();
}
const before = computed(() => new Map(board.resolution?.movement?.before.assignments.map((a) => [a.blocker, a]) ?? []));
const rows = computed(() => [
  ...(board.resolution?.movement ? [{ key: 'was', name: 'Was to' }] : []),
  { key: 'block', name: 'Block' },
  { key: 'on', name: 'On' },
  { key: 'then', name: 'Then' },
  { key: 'meets', name: 'Meets him' },
  { key: 'step', name: 'First step' },
  { key: 'aim', name: 'Aim' },
  { key: 'says', name: 'Says' },
  ...(board.comparison ? [{ key: 'other', name: 'Other school' }] : []),
  ...(showWhy.value ? [{ key: 'why', name: 'Why' }] : [{ key: 'eyes', name: 'Eyes' }]),
]);

/** What the other school asks of him, or that it asks the same. */
function otherCell(man: string): string {
  const difference = board.comparison?.men.find((m) => m.blocker === man);
  if (!difference || difference.same) return 'the same';
  const { other } = difference;
  return other
    ? `${blockName(other)} ${other.target ?? 'nobody'}${other.next ? `, then ${other.next}` : ''}`
    : 'no rule';
}

/** What he was to do before the front moved, where that is something else. */
function wasCell(man: string): string {
  const was = before.value.get(man);
  if (!was || !board.resolution?.movement?.changed.includes(man)) return 'the same';
  return `${BLOCKS[was.block as BlockId].name} ${was.target ?? 'nobody'}${was.next ? `, then ${was.next}` : ''}`;
}

/** When he meets his men by the run in time, and how late he is to somebody who meets the ball. */
function meetsCell(man: string): string {
  const a = arrivals.value.get(man);
  if (!a) return '';
  const meets = a.meets.map((m) => `${m.on} ${m.at.toFixed(1)} s`).join(', ');
  return a.never
    ? `${meets}${meets ? '; ' : ''}not ${a.never} in time`
    : a.late >= 0.05
      ? `${meets}, ${a.late.toFixed(1)} s late`
      : meets;
}
function isLate(man: string): boolean {
  const a = arrivals.value.get(man);
  return a !== undefined && (a.late >= 0.05 || a.never !== null);
}

function cell(row: string, man: string): string {
  const a = assigned.value.get(man);
  if (row === 'other') return otherCell(man);
  if (row === 'was') return wasCell(man);
  if (!a) return '';
  switch (row) {
    case 'block':
      return blockName(a);
    case 'on':
      return a.target ?? 'nobody: next level';
    case 'then':
      return a.next ?? '';
    case 'meets':
      return meetsCell(man);
    case 'step':
      return stepWords(a);
    case 'aim':
      return upperFirst(a.aim);
    case 'says':
      return board
        .resolution!.calls.filter((c) => c.from === man)
        .map((c) => `“${c.word}”`)
        .join(' ');
    case 'eyes':
      return upperFirst(a.eyes);
    default:
      return upperFirst(a.because.sentence);
  }
}

onKeyStroke(['z', 'Z', 'y'], (event) => {
  if (inField(event.target)) return;
  if (event.key === 'y' && !event.ctrlKey && !event.metaKey) showWhy.value = !showWhy.value;
  else if (event.ctrlKey || event.metaKey) {
    event.preventDefault();
    if (event.shiftKey || event.key === 'y') board.redo();
    else board.undo();
  }
});
onKeyStroke([' ', ',', '.'], (event) => {
  const onButton = event.target instanceof HTMLElement && ['BUTTON', 'A', 'SUMMARY'].includes(event.target.tagName);
  if (inField(event.target) || (event.key === ' ' && onButton) || event.ctrlKey || event.metaKey) return;
  event.preventDefault();
  inTime(() => {
    if (event.key === ' ') clock.toggle();
    else clock.go(clock.frame.value + (event.key === '.' ? 1 : -1));
  });
});
onKeyStroke(
  (event) => /^[1-9]$/.test(event.key),
  (event) => {
    const column = columns.value[Number(event.key) - 1];
    if (column && !inField(event.target)) board.selected = column.id;
  },
);
</script>

<template>
  <div class="place">
    <h1 class="visually-hidden">Walkthrough</h1>
    <CallSentence />
    <p v-if="board.problems.length" class="refused" role="alert">
      {{ sayProblems(board.problems) }}
    </p>
    <div class="work">
      <section ref="area" class="area" aria-label="Board">
        <template v-if="board.formation && board.front && board.resolution && scale && width > 0">
          <div class="scroller">
            <LineBoard
              :formation="board.formation"
              :front="board.front"
              :identification="board.resolution.identification"
              :resolution="board.resolution"
              :scale="scale"
              :columns="columns"
              :selected="board.selected"
              :numbers="roster.numbers"
              :movable="clock.frame.value === 0"
              :places="clock.places.value"
              :pathless="board.pressure !== null"
              @select="board.selected = $event"
              @move="board.move"
              @nudge="board.nudge"
            >
              <template #under
                ><PressureLanes
                  v-if="board.pressure && board.resolution.passing && clock.frame.value === 0"
                  :pressure="board.pressure"
                  :front="board.front"
                  :passing="board.resolution.passing"
                  :scale="scale"
                  :blockers="sets"
              /></template>
            </LineBoard>
            <TimeBar
              :run="run"
              :frame="clock.frame.value"
              :playing="clock.playing.value"
              @go="(frame) => inTime(() => clock.go(frame))"
              @toggle="inTime(clock.toggle)"
            />
            <ManColumns
              :columns="columns"
              :rows="rows"
              :selected="board.selected"
              :numbers="roster.numbers"
              keys
              label="Assignments"
              @select="board.selected = $event"
            >
              <template #default="{ row, man }"
                ><span
                  :class="{
                    late: row === 'meets' && isLate(man),
                    other: (row === 'other' || row === 'was') && cell(row, man) !== 'the same',
                    soft: (row === 'other' || row === 'was') && cell(row, man) === 'the same',
                    small:
                      row === 'other' ||
                      row === 'was' ||
                      row === 'meets' ||
                      row === 'why' ||
                      row === 'eyes' ||
                      row === 'aim',
                  }"
                  >{{ cell(row, man) }}</span
                ></template
              >
            </ManColumns>
          </div>
          <p class="hands soft no-print">
            <button class="plain" type="button" :disabled="!board.done.length" @click="board.undo">
              <kbd>Ctrl Z</kbd> undo{{ board.done.length ? ` (${board.done.length})` : '' }}
            </button>
            <button class="plain" type="button" :aria-pressed="showWhy" @click="showWhy = !showWhy">
              <kbd>y</kbd> {{ showWhy ? 'hide' : 'show' }} every man’s why
            </button>
            <span><kbd>Space</kbd> runs it, <kbd>,</kbd> <kbd>.</kbd> a step</span>
            <span
              ><kbd>1</kbd>-<kbd>{{ columns.length }}</kbd> a man</span
            >
            <span
              ><kbd>Tab</kbd> to a defender, <kbd>←</kbd> <kbd>→</kbd> <kbd>↑</kbd> <kbd>↓</kbd> move him half a
              foot</span
            >
            <BoardFile
              :formation="board.formation"
              :front="board.front"
              :resolution="board.resolution"
              :name="`${board.call.scheme} ${board.call.side}`"
            />
          </p>
        </template>
      </section>
      <BoardSide v-if="board.resolution" :resolution="board.resolution" :selected="board.selected" />
    </div>
  </div>
</template>

<style scoped>
.place {
  display: grid;
  grid-template-rows: auto auto 1fr;
  min-height: 100%;
}
.refused {
  padding: 8px 20px;
  color: var(--broken);
  font-weight: 600;
  border-bottom: 1px solid var(--rule);
  grid-row: 2;
}
.work {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 264px;
  grid-row: 3;
}
.area {
  padding: 12px 16px 12px 20px;
  min-width: 0;
}
.scroller {
  overflow-x: auto;
}
.small {
  font-size: 12.5px;
}
.late {
  color: var(--risk);
  font-weight: 650;
}
.other {
  color: var(--violet);
  font-weight: 650;
}
.hands {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  padding: 12px 0 0;
  font-size: 12.5px;
}
.hands button:disabled {
  opacity: 0.5;
  cursor: default;
}
@media (max-width: 900px) {
  .work {
    grid-template-columns: 1fr;
  }
  .area {
    padding: 10px;
  }
}
</style>
