<script setup lang="ts">
import type { PocketCard } from '#core/compare/pocket-card';
import CardRows from '~/features/board/CardRows.vue';

defineProps<{ card: PocketCard }>();
</script>

<template>
  <details open>
    <summary class="link">Pocket card of {{ card.man }}</summary>
    <CardRows class="rows" :rows="card.rows" />
  </details>
</template>

<style scoped>
.rows {
  font-size: 13px;
}
summary {
  cursor: pointer;
}
</style>
