<script setup lang="ts">
import type { CardRow } from '#core/compare/pocket-card';
import { upperFirst } from './words';

/** A pocket card line by line: what his man may do, and what he does then. */
defineProps<{ rows: readonly CardRow[] }>();
</script>

<template>
  <table>
    <tbody>
      <tr v-for="r in rows" :key="r.when" :class="{ other: !r.same }">
        <th scope="row">{{ upperFirst(r.when) }}</th>
        <td>{{ r.same ? 'the same' : r.does }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
table {
  border-collapse: collapse;
  margin-top: 4px;
}
th {
  font-weight: 400;
  text-align: left;
  padding: 2px 10px 2px 0;
  vertical-align: top;
}
td {
  padding: 2px 0;
  vertical-align: top;
  color: var(--soft);
}
.other td {
  color: inherit;
  font-weight: 600;
}
</style>
