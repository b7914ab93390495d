<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core';
import { BLOCKS, type BlockId } from '#core/vocabulary/index';
import { computed, onMounted, ref } from 'vue';
import { useSeenSize } from '~/features/board/seen-size';
import { sayProblems } from '~/features/board/refusal';
import { boardScale, columnsUnder, PASS_DEPTH } from '~/features/board/scale';
import { useBoardHeight } from '~/features/board/room';
import BoardFile from '~/features/board/BoardFile.vue';
import LineBoard from '~/features/board/LineBoard.vue';
import PressureLanes from '~/features/board/PressureLanes.vue';
import ManColumns from '~/features/board/ManColumns.vue';
import { sayShared } from '#core/reports/shared-sentence';
import { blockName, upperFirst } from '~/features/board/words';
import { inField } from '~/features/hands/in-field';
import { useRoster } from '~/features/roster/store';
import CompareTable from './CompareTable.vue';
import PressureSide from './PressureSide.vue';
import ProtectionSentence from './ProtectionSentence.vue';
import { useProtectionAddress } from './address';
import { useProtection } from './store';

const p = useProtection();
const roster = useRoster();
useProtectionAddress();
onMounted(roster.load);

const area = ref<HTMLElement | null>(null);
const { width } = useSeenSize(area);
const height = useBoardHeight(360, 560);
const scale = computed(() =>
  p.formation
    ? boardScale(p.formation, Math.max(600, width.value), height.value, { front: p.front, shallow: PASS_DEPTH })
    : null,
);
const assigned = computed(() => new Map(p.resolution?.assignments.map((a) => [a.blocker, a]) ?? []));
const columns = computed(() =>
  p.formation && scale.value
    ? columnsUnder(
        p.formation.men.filter((m) => assigned.value.has(m.id)),
        scale.value,
      )
    : [],
);
const rows = [
  { key: 'has', name: 'Has' },
  { key: 'set', name: 'Set' },
  { key: 'help', name: 'Help' },
  { key: 'now', name: 'Now takes' },
];

/** Where each blocker meets his rusher. */
const sets = computed(
  () => new Map(p.resolution?.assignments.map((a) => [a.blocker, a.path[a.path.length - 1]!]) ?? []),
);
/** Marked free is who is free under this pressure. */
const still = computed(() =>
  p.resolution
    ? {
        ...p.resolution,
        defenders: p.resolution.defenders.map((d) => ({
          ...d,
          status: p.pressure?.free.some((f) => f.id === d.id) ? ('free' as const) : ('single' as const),
        })),
      }
    : null,
);

function cell(row: string, man: string): string {
  const a = assigned.value.get(man);
  const passing = p.resolution?.passing;
  if (!a || !passing) return '';
  const set = passing.men.find((m) => m.blocker === man);
  if (row === 'has') return [a.target, a.next].filter(Boolean).join(', then ') || 'nobody';
  if (row === 'set') return set ? upperFirst(set.set) : blockName(a);
  if (row === 'help') return set?.help.map((h) => `${h.side} from ${h.from}`).join(', ') ?? '';
  const takes = p.pressure?.pickedUp.filter((x) => x.by.includes(man)).map((x) => x.rusher) ?? [];
  if (takes.length) return takes.join(', ');
  return BLOCKS[a.block as BlockId].role === 'touch' && a.target !== null && p.pressure?.rushers.includes(a.target)
    ? `${a.target}, in passing`
    : 'nobody comes';
}

const rushable = computed(
  () =>
    p.front?.defenders
      .filter((d) => Math.abs(d.x) < 24 && d.y < 31)
      .slice()
      .sort((a, b) => a.x - b.x) ?? [],
);
const twists = computed(() => {
  const first = rushable.value.filter((d) => d.y <= 4.5 && p.pressure?.rushers.includes(d.id));
  return first.slice(1).flatMap(
    (d, i) =>
      [
        [first[i]!.id, d.id],
        [d.id, first[i]!.id],
      ] as [string, string][],
  );
});
const setTwist = (value: string): void =>
  p.choose(p.pressure!.rushers, twists.value.find((t) => t.join() === value) ?? null);
onKeyStroke(
  (event) => /^[1-9]$/.test(event.key),
  (event) => {
    const column = columns.value[Number(event.key) - 1];
    if (column && !inField(event.target)) p.selected = column.id;
  },
);
</script>

<template>
  <div class="place">
    <h1 class="visually-hidden">Protection</h1>
    <ProtectionSentence />
    <p v-if="p.problems.length" class="refused" role="alert">
      {{ sayProblems(p.problems) }}
    </p>
    <div class="work">
      <section ref="area" class="area" aria-label="Board">
        <template v-if="p.formation && p.front && p.resolution && p.pressure && scale && width > 0">
          <div class="rush" role="group" aria-label="Who comes">
            <b>{{ p.pressure.rushers.length }} come:</b>
            <button
              v-for="d in rushable"
              :key="d.id"
              class="plain tag"
              type="button"
              :aria-pressed="p.pressure.rushers.includes(d.id)"
              @click="p.toggleRusher(d.id)"
            >
              {{ d.id }}
            </button>
            <label v-if="twists.length"
              >twist
              <select
                :value="p.pressure.twist?.join() ?? ''"
                @change="setTwist(($event.target as HTMLSelectElement).value)"
              >
                <option value="">none</option>
                <option v-for="t in twists" :key="t.join()" :value="t.join()">{{ t[0] }} goes, {{ t[1] }} loops</option>
              </select>
            </label>
            <span class="result" :class="p.pressure.result">{{
              p.pressure.result === 'short'
                ? `${p.pressure.free.map((f) => f.id).join(', ')} free`
                : p.pressure.result === 'late'
                  ? `late to ${p.pressure.late.join(', ')}`
                  : p.pressure.free.length
                    ? `held: ${p.pressure.free.map((f) => f.id).join(', ')} cannot arrive`
                    : 'held'
            }}</span>
            <span v-if="p.pressure.passedOff" class="soft"
              >{{ p.pressure.passedOff.join(' and ') }} pass the twist off</span
            >
          </div>
          <div class="scroller">
            <LineBoard
              :formation="p.formation"
              :front="p.front"
              :identification="p.resolution.identification"
              :resolution="still"
              :scale="scale"
              :columns="columns"
              :selected="p.selected"
              :numbers="roster.numbers"
              :movable="false"
              pathless
              @select="p.selected = $event"
            >
              <template #under
                ><PressureLanes
                  v-if="p.resolution.passing"
                  :pressure="p.pressure"
                  :front="p.front"
                  :passing="p.resolution.passing"
                  :scale="scale"
                  :blockers="sets"
              /></template>
            </LineBoard>
            <ManColumns
              :columns="columns"
              :rows="rows"
              :selected="p.selected"
              :numbers="roster.numbers"
              keys
              label="Who has whom"
              @select="p.selected = $event"
            >
              <template #default="{ row, man }"
                ><span :class="{ now: row === 'now', small: row === 'help' }">{{ cell(row, man) }}</span></template
              >
            </ManColumns>
          </div>
          <p v-for="s in p.resolution.passing?.shared" :key="s.blockers.join()">{{ sayShared(s) }}</p>
          <p class="soft small">
            A free man runs straight for the spot; what strength and skill make of a block the model does not know.
            <NuxtLink
              :to="{
                path: '/walkthrough',
                query: { play: p.call.scheme, side: p.call.side, formation: p.call.formation, front: p.call.front },
              }"
              >Walk through it</NuxtLink
            >
            <BoardFile
              class="drawing"
              :formation="p.formation"
              :front="p.front"
              :resolution="p.resolution"
              :name="p.call.scheme"
            />
          </p>
          <CompareTable />
        </template>
      </section>
      <PressureSide />
    </div>
  </div>
</template>

<style scoped>
.drawing {
  margin-left: 12px;
}
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
  grid-template-columns: minmax(0, 1fr) 278px;
  grid-row: 3;
}
.area {
  padding: 10px 16px 12px 20px;
  min-width: 0;
}
.rush {
  display: flex;
  flex-wrap: wrap;
  gap: 5px 7px;
  align-items: center;
  font-size: 13.5px;
}
.tag {
  border: 1px solid var(--soft);
  border-radius: 3px;
  padding: 1px 8px;
  font-size: 12.5px;
  color: var(--soft);
}
.tag[aria-pressed='true'] {
  border-color: var(--violet);
  color: var(--violet);
  font-weight: 650;
  background: var(--wash);
}
select {
  font: inherit;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
  padding: 1px 4px;
}
.result {
  font-weight: 700;
  margin-left: 8px;
}
.result.short {
  color: var(--broken);
}
.result.late {
  color: var(--risk);
}
.result.held {
  color: var(--sound);
}
.scroller {
  overflow-x: auto;
}
.now {
  font-weight: 650;
}
.small {
  font-size: 12.5px;
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
