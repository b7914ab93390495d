<script setup lang="ts">
import type { Column } from './scale';
import { LABEL_WIDTH } from './scale';

/** The men as columns: a header each, and a row for every name in `rows`; the cells are the slot. */
defineProps<{
  columns: readonly Column[];
  rows: readonly { key: string; name: string }[];
  selected: string | null;
  numbers: Readonly<Record<string, number>>;
  keys?: boolean;
  label: string;
}>();
defineEmits<{ select: [id: string] }>();
</script>

<template>
  <table
    class="columns"
    :aria-label="label"
    :style="{ width: `${(columns.at(-1)?.left ?? 0) + (columns.at(-1)?.width ?? 0)}px` }"
  >
    <colgroup>
      <col :style="{ width: `${columns[0]?.left ?? LABEL_WIDTH}px` }" />
      <col v-for="c in columns" :key="c.id" :style="{ width: `${c.width}px` }" />
    </colgroup>
    <thead>
      <tr>
        <td />
        <th v-for="(c, i) in columns" :key="c.id" scope="col" :class="{ on: c.id === selected }">
          <button class="plain" type="button" :aria-pressed="c.id === selected" @click="$emit('select', c.id)">
            <b>{{ c.id }}</b> <span class="soft">{{ numbers[c.id] }}</span><kbd v-if="keys" aria-hidden="true">{{
              i + 1
            }}</kbd>
          </button>
        </th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="row in rows" :key="row.key">
        <th scope="row" class="soft">{{ row.name }}</th>
        <td v-for="c in columns" :key="c.id" :class="{ on: c.id === selected }"><slot :row="row.key" :man="c.id" /></td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.columns {
  border-collapse: collapse;
  table-layout: fixed;
  border-top: 2px solid var(--ink);
  font-variation-settings: var(--narrow);
}
th,
td {
  text-align: left;
  vertical-align: top;
  padding: 5px 7px;
  border-bottom: 1px solid var(--rule);
  overflow-wrap: break-word;
  line-height: 1.25;
}
td + td,
thead th {
  border-left: 1px solid var(--rule);
}
thead button {
  width: 100%;
  display: flex;
  gap: 5px;
  align-items: baseline;
  font-size: 15px;
}
thead kbd {
  margin-left: auto;
}
tbody th {
  font-weight: 400;
  font-size: 12.5px;
  padding-left: 2px;
}
tbody td {
  border-left: 1px solid var(--rule);
}
.on {
  background: var(--wash);
}
</style>
