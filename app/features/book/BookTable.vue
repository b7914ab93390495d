<script setup lang="ts">
import type { BookLine, Measure } from '#core/grade/book';
import { FAULTS } from '#core/model/faults';

defineProps<{ title: string; first: string; lines: readonly BookLine[] }>();
defineEmits<{ open: [line: BookLine, measure: Measure] }>();
const MEASURES: readonly { key: Measure; name: string }[] = [
  { key: 'assignment', name: 'Right man' },
  { key: 'technique', name: 'Technique' },
  { key: 'both', name: 'Both' },
];
</script>

<template>
  <section>
    <h2>{{ title }}</h2>
    <table :aria-label="title">
      <thead>
        <tr>
          <th scope="col">{{ first }}</th>
          <th scope="col" class="count">Marks</th>
          <th v-for="m in MEASURES" :key="m.key" scope="col">{{ m.name }}</th>
          <th scope="col">Faults</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="line in lines" :key="line.key">
          <th scope="row">{{ line.key }}</th>
          <td class="count">{{ line.rows.length }}</td>
          <td v-for="m in MEASURES" :key="m.key">
            <RateCell :rate="line[m.key]" :what="`${line.key}, ${m.name}`" @open="$emit('open', line, m.key)" />
          </td>
          <td class="faults narrow">
            {{ line.faults.map((f) => `${FAULTS[f.fault].name}${f.count > 1 ? ` ${f.count}` : ''}`).join(', ') }}
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 4px;
}
table {
  border-collapse: collapse;
  width: 100%;
  border-top: 2px solid var(--ink);
}
th,
td {
  text-align: left;
  padding: 6px 10px 5px 0;
  border-bottom: 1px solid var(--rule);
  vertical-align: top;
}
thead th {
  font-size: 12px;
  font-weight: 600;
  color: var(--soft);
  padding: 3px 10px 3px 0;
}
tbody th {
  font-weight: 600;
  width: 24%;
}
.count {
  width: 52px;
}
.faults {
  font-size: 12.5px;
  width: 22%;
}
</style>
