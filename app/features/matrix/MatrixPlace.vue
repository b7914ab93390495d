<script setup lang="ts">
import { computed, onMounted } from 'vue';
import { releaseFocus } from '~/features/hands/in-field';
import { usePlaybook } from '~/features/playbook/store';
import type { Side } from '#core/model/side';
import { GENERAL_MOVES } from '#core/movement/menu';
import { AS_USUAL, EVERYTHING, STILL, useMatrix } from './store';

const matrix = useMatrix();
const playbook = usePlaybook();
const families = computed(() => [
  { id: EVERYTHING, name: 'every' },
  ...matrix.families.map((f) => ({ id: f, name: `every ${f}` })),
]);
const formations = computed(() => [{ id: AS_USUAL, name: 'its usual formation' }, ...playbook.formations]);
const opponents = computed(() => [
  { id: EVERYTHING, name: 'every front in the book' },
  ...matrix.opponents.map((o) => ({ id: o, name: `what the ${o} show` })),
]);
const sides = [
  { id: 'left', name: 'left' },
  { id: 'right', name: 'right' },
];
const moves = [
  { id: STILL, name: 'stand still' },
  ...Object.entries(GENERAL_MOVES).map(([id, { name }]) => ({ id, name })),
];
const WORD = { sound: 'sound', 'at risk': 'risk', broken: 'broken' } as const;
const total = computed(() => ({
  cells: matrix.rows.reduce((n, r) => n + r.cells.length, 0),
  sound: matrix.rows.reduce((n, r) => n + r.sound, 0),
}));
onMounted(matrix.open);
const print = (): void => window.print();
</script>

<template>
  <div class="place">
    <header>
      <div class="words" role="group" aria-label="What is shown">
        <span>Call</span>
        <Select
          v-model="matrix.family"
          class="word"
          :options="families"
          option-label="name"
          option-value="id"
          aria-label="Family"
          @hide="releaseFocus"
        />
        <span>play to the</span>
        <Select
          :model-value="matrix.side"
          class="word"
          :options="sides"
          option-label="name"
          option-value="id"
          aria-label="Side"
          @hide="releaseFocus"
          @update:model-value="matrix.side = $event as Side"
        />
        <span>from</span>
        <Select
          v-model="matrix.formation"
          class="word"
          :options="formations"
          option-label="name"
          option-value="id"
          aria-label="Formation"
          filter
          @hide="releaseFocus"
        />
        <span>against</span>
        <Select
          v-model="matrix.opponent"
          class="word"
          :options="opponents"
          option-label="name"
          option-value="id"
          aria-label="Fronts"
          @hide="releaseFocus"
        />
        <span>who</span>
        <Select
          v-model="matrix.move"
          class="word"
          :options="moves"
          option-label="name"
          option-value="id"
          aria-label="After the snap"
          @hide="releaseFocus"
        />
      </div>
      <p class="sum">
        <span v-if="matrix.running" role="status">{{ matrix.done }} of {{ matrix.total }} worked out …</span>
        <template v-else>{{ total.sound }} of {{ total.cells }} sound</template>
        <span v-if="matrix.leftOut" class="soft left"
          >{{ matrix.leftOut }} fronts your league does not allow left out</span
        >
        <button class="plain link no-print" type="button" @click="print">Print</button>
      </p>
    </header>
    <h1 class="visually-hidden">Matrix: every play against every front</h1>
    <p v-if="matrix.problem" class="empty" role="alert">{{ matrix.problem }}</p>
    <p v-if="!matrix.fronts.length" class="empty">
      No front is kept under this opponent. Save one in <NuxtLink to="/fronts">Fronts</NuxtLink>.
    </p>
    <div v-else class="scroller" tabindex="0" role="region" aria-label="Plays by fronts">
      <table>
        <thead>
          <tr>
            <th scope="col" class="corner">Play</th>
            <th scope="col" class="count">Sound</th>
            <th v-for="f in matrix.fronts" :key="f.id" scope="col" class="front">
              <span>{{ f.name }}</span>
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in matrix.rows" :key="row.scheme">
            <th scope="row">
              <NuxtLink :to="`/rules/${row.scheme}`">{{ row.name }}</NuxtLink><span class="soft from">{{
                row.formationName
              }}</span>
            </th>
            <td class="count">{{ row.sound }}/{{ row.cells.length }}</td>
            <td v-for="c in row.cells" :key="c.front" :class="c.verdict.replace(' ', '-')">
              <NuxtLink
                :to="{
                  path: '/walkthrough',
                  query: {
                    play: row.scheme,
                    side: matrix.side,
                    formation: row.formation,
                    front: c.front,
                    ...(c.moves ? { moves: c.moves } : {}),
                  },
                }"
                :title="c.sentence"
                :aria-label="`${row.name} against ${playbook.book.name('fronts', c.front)}: ${c.verdict}. ${c.sentence}`"
              >
                <VerdictShape :verdict="c.verdict" /><span>{{ WORD[c.verdict] }}</span>
              </NuxtLink>
            </td>
          </tr>
        </tbody>
      </table>
    </div>
  </div>
</template>

<style scoped>
.place {
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  height: 100%;
}
header {
  display: flex;
  gap: 16px;
  align-items: center;
  justify-content: space-between;
  padding: 10px 20px;
  border-bottom: 1px solid var(--rule);
  min-height: 64px;
}
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 7px;
  align-items: center;
  font-size: 17px;
}
.left {
  margin-left: 12px;
}
.sum {
  font-weight: 600;
  white-space: nowrap;
}
.sum button {
  margin-left: 12px;
}
.empty {
  padding: 40px 20px;
}
.scroller {
  overflow: auto;
}
table {
  border-collapse: separate;
  border-spacing: 0;
  font-variation-settings: var(--narrow);
}
thead th {
  position: sticky;
  top: 0;
  background: var(--ground);
  z-index: 2;
  vertical-align: bottom;
  text-align: left;
  font-weight: 600;
  border-bottom: 2px solid var(--ink);
  padding: 6px 4px;
}
.front {
  height: 150px;
  min-width: 42px;
}
.front span {
  writing-mode: vertical-rl;
  transform: rotate(180deg);
  font-size: 12.5px;
  max-height: 138px;
  line-height: 1.15;
}
tbody th {
  position: sticky;
  left: 0;
  background: var(--ground);
  z-index: 1;
  text-align: left;
  font-weight: 600;
  padding: 4px 10px 4px 20px;
  width: 232px;
  min-width: 232px;
  border-bottom: 1px solid var(--rule);
  line-height: 1.2;
}
tbody th a {
  color: var(--ink);
  text-decoration: none;
}
tbody th a:hover {
  color: var(--violet);
}
.corner {
  position: sticky;
  left: 0;
  z-index: 3;
  padding-left: 20px;
}
.from {
  display: block;
  font-weight: 400;
  font-size: 11.5px;
}
td.count {
  padding: 4px 8px;
  font-size: 13px;
}
td {
  border-bottom: 1px solid var(--rule);
  border-left: 1px solid var(--rule);
  padding: 0;
  text-align: center;
}
td a {
  display: grid;
  justify-items: center;
  gap: 1px;
  padding: 4px 1px 3px;
  font-size: 10.5px;
  text-decoration: none;
  color: var(--soft);
}
td a:hover,
td a:focus-visible {
  background: var(--wash);
}
td.broken a {
  color: var(--broken);
  font-weight: 650;
}
td.at-risk a {
  color: var(--risk);
}
@media print {
  .scroller {
    overflow: visible;
  }
  thead th,
  tbody th {
    position: static;
  }
  .front {
    width: 24px;
  }
  td a span {
    display: none;
  }
}
</style>
