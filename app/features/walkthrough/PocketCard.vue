<script setup lang="ts">
import type { PocketCard } from '#core/compare/pocket-card';
import { upperFirst } from '~/features/board/words';

defineProps<{ card: PocketCard }>();
</script>

<template>
  <details open>
    <summary class="link">Pocket card of {{ card.man }}</summary>
    <table>
      <tbody>
        <tr v-for="r in card.rows" :key="r.when" :class="{ other: !r.same }">
          <th scope="row">{{ upperFirst(r.when) }}</th>
          <td>{{ r.same ? 'the same' : r.does }}</td>
        </tr>
      </tbody>
    </table>
  </details>
</template>

<style scoped>
table {
  border-collapse: collapse;
  font-size: 13px;
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
  color: var(--soft);
}
.other td {
  color: inherit;
  font-weight: 600;
}
summary {
  cursor: pointer;
}
</style>
