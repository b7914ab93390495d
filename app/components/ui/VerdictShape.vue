<script setup lang="ts">
import type { Verdict } from '#core/model/resolution';

/** The verdict as a shape: a ring, a triangle, a struck square. */
defineProps<{ verdict: Verdict }>();
</script>

<template>
  <svg viewBox="0 0 20 20" :class="verdict.replace(' ', '-')" aria-hidden="true">
    <circle v-if="verdict === 'sound'" cx="10" cy="10" r="7.5" />
    <path v-else-if="verdict === 'at risk'" d="M10 3 L18 17 H2 Z" />
    <path v-else d="M3 3 H17 V17 H3 Z M3 3 L17 17 M17 3 L3 17" />
  </svg>
</template>

<style scoped>
svg {
  width: 14px;
  height: 14px;
  fill: none;
  stroke: currentColor;
  stroke-width: 2.2;
  flex: none;
}
.sound {
  color: var(--sound);
}
.at-risk {
  color: var(--risk);
  fill: color-mix(in srgb, currentColor 22%, transparent);
}
.broken {
  color: var(--broken);
  fill: color-mix(in srgb, currentColor 22%, transparent);
}
</style>
