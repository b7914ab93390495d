<script setup lang="ts">
import { computed } from 'vue';
import { compareRates, rateIn, type BookLine } from '#core/grade/book/lines';
import { MEASURES, type Measure } from '#core/grade/book/measures';
import { DIMENSIONS, type Dimension } from '#core/grade/book/dimensions';
import { faultName } from '#core/model/faults';
import { upperFirst } from '~/features/board/words';
import { usePlaybook } from '~/features/playbook/store';
import { measuresOf } from './table';
import { sayKey } from './words';

/** Grades counted one way: a line a value, a column a measure; every number opens its snaps. */
const props = defineProps<{
  by: Dimension;
  lines: readonly BookLine[];
  total: BookLine;
  /** The same lines over earlier games, where there are any to compare with. */
  before: readonly BookLine[] | null;
}>();
const emit = defineEmits<{ open: [line: BookLine, title: string, measure: Measure]; narrow: [line: BookLine] }>();
const playbook = usePlaybook();
const own = computed(() => playbook.program.faults ?? []);
const weighs = computed(() => playbook.settings.weighMisses === 'meant');
const measures = computed(() => measuresOf([...props.lines, props.total], weighs.value));
const first = computed(() => upperFirst(DIMENSIONS[props.by].name));
const all = computed(() => (props.lines.length > 1 ? [...props.lines, props.total] : [...props.lines]));
const said = (line: BookLine): string => (line === props.total ? 'All together' : sayKey(props.by, line));

/** How a number stands to the same one before; empty where nobody can say. */
function change(line: BookLine, measure: Measure): string {
  const earlier = props.before?.find((l) => l.key === line.key);
  if (!earlier) return '';
  const [now, then] = [rateIn(line, measure), rateIn(earlier, measure)];
  const verdict = compareRates(now, then);
  if (verdict === 'no telling' || then.share === null) return '';
  return `${verdict} than ${Math.round(then.share * 100)} % before`;
}
const faults = (line: BookLine): string =>
  line.faults
    .slice(0, 4)
    .map((f) => `${faultName(f.fault, own.value)}${f.count > 1 ? ` ${f.count}` : ''}`)
    .join(', ');
</script>

<template>
  <table :class="{ weighs }" :aria-label="`Grades by ${DIMENSIONS[by].name}`">
    <thead>
      <tr>
        <th scope="col">{{ first }}</th>
        <th scope="col" class="count">Marks</th>
        <th v-for="m in measures" :key="m" scope="col" :class="m" :title="MEASURES[m].says">{{ MEASURES[m].name }}</th>
        <th scope="col">Faults</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="line in all" :key="line.key" :class="{ all: line === total }">
        <th scope="row">
          <button
            v-if="line !== total"
            class="plain"
            type="button"
            :title="`Only ${said(line)}`"
            @click="emit('narrow', line)"
          >
            {{ said(line) }}
          </button>
          <template v-else>{{ said(line) }}</template>
        </th>
        <td class="count" data-of="Marks">{{ line.marks }}</td>
        <td v-for="m in measures" :key="m" :class="m" :data-of="MEASURES[m].name">
          <RateCell
            :rate="rateIn(line, m)"
            :what="`${said(line)}, ${MEASURES[m].name}`"
            @open="emit('open', line, said(line), m)"
          />
          <span v-if="change(line, m)" class="change">{{ change(line, m) }}</span>
        </td>
        <td class="faults narrow" data-of="Faults">{{ faults(line) }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
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
  min-width: 150px;
}
tbody th button {
  text-align: left;
}
tbody th button:hover {
  color: var(--violet);
  text-decoration: underline;
  text-underline-offset: 3px;
}
.all {
  border-top: 2px solid var(--rule);
}
.count {
  width: 52px;
}
.faults {
  font-size: 12.5px;
  width: 20%;
}
.change {
  display: block;
  font-size: 11.5px;
  color: var(--soft);
  font-variation-settings: var(--narrow);
}
/* A column more leaves no room for all of them. */
@container (800px < width <= 1200px) {
  .weighs .outcome {
    display: none;
  }
}
@container (max-width: 1000px) {
  .outcome,
  .film,
  .faults,
  thead th:last-child {
    display: none;
  }
}
@media (max-width: 800px) {
  thead {
    position: absolute;
    width: 1px;
    height: 1px;
    overflow: hidden;
    clip-path: inset(50%);
  }
  table,
  tbody {
    display: block;
  }
  tr {
    display: grid;
    grid-template-columns: 1fr 1fr;
    gap: 2px 10px;
    padding: 8px 0;
    border-bottom: 1px solid var(--rule);
  }
  th,
  td {
    border: 0;
    padding: 0;
    min-width: 0;
  }
  tbody th,
  .faults {
    grid-column: 1 / -1;
    width: auto;
  }
  .count {
    width: auto;
  }
  td::before {
    content: attr(data-of);
    display: block;
    font-size: 11.5px;
    color: var(--soft);
  }
  .outcome,
  .film,
  .faults {
    display: block;
  }
  .faults:empty {
    display: none;
  }
}
</style>
