<script setup lang="ts">
import { computed } from 'vue';
import { FamilySchema, type Overrides } from '#core/model/overrides';
import { useWalkthrough } from './store';

const board = useWalkthrough();
const backers = computed(() => board.resolution?.identification.linebackers.ids ?? []);
const men = computed(() => board.front?.defenders.map((d) => d.id) ?? []);
const set = (change: Partial<Overrides>): void => {
  const next = { ...board.overrides, ...change };
  board.overrides = Object.fromEntries(
    Object.entries(next).filter(([, value]) => value !== undefined && value !== ''),
  ) as Overrides;
};
const choices = computed(
  () =>
    [
      { key: 'family', name: 'Front', options: FamilySchema.options as readonly string[] },
      { key: 'strength', name: 'Strength', options: ['left', 'right'] },
      { key: 'leftCall', name: 'Left', options: ['loaded', 'light'] },
      { key: 'rightCall', name: 'Right', options: ['loaded', 'light'] },
      { key: 'mike', name: 'Mike', options: backers.value },
      { key: 'leftForce', name: 'Left force', options: men.value },
      { key: 'rightForce', name: 'Right force', options: men.value },
    ] as const,
);
</script>

<template>
  <details>
    <summary class="link">
      Overrule{{ Object.keys(board.overrides).length ? ` (${Object.keys(board.overrides).length})` : '' }}
    </summary>
    <div class="rows">
      <label v-for="c in choices" :key="c.key"
        >{{ c.name }}
        <select
          :value="board.overrides[c.key] ?? ''"
          @change="set({ [c.key]: ($event.target as HTMLSelectElement).value })"
        >
          <option value="">as worked out</option>
          <option v-for="o in c.options" :key="o" :value="o">{{ o }}</option>
        </select>
      </label>
    </div>
  </details>
</template>

<style scoped>
.rows {
  display: grid;
  gap: 4px;
  padding-top: 6px;
}
label {
  display: grid;
  grid-template-columns: 78px 1fr;
  align-items: center;
  color: var(--soft);
}
select {
  font: inherit;
  font-size: 12.5px;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
  padding: 1px 3px;
}
summary {
  cursor: pointer;
}
</style>
