<script setup lang="ts">
import type { Verdict } from '#core/model/resolution';

/** The verdict by word and shape as well as hue, with its sentence. */
defineProps<{ verdict: Verdict; sentence: string }>();
</script>

<template>
  <p class="verdict" :class="verdict.replace(' ', '-')" role="status">
    <svg viewBox="0 0 20 20" width="19" height="19" aria-hidden="true">
      <circle v-if="verdict === 'sound'" cx="10" cy="10" r="8" />
      <path v-if="verdict === 'sound'" d="M6 10.2 L9 13 L14 7.2" />
      <path v-if="verdict === 'at risk'" d="M10 2 L18.5 17.5 H1.5 Z M10 8 V12.5 M10 14.6 V15.6" />
      <path v-if="verdict === 'broken'" d="M2 2 H18 V18 H2 Z M6 6 L14 14 M14 6 L6 14" />
    </svg>
    <span
      ><b>{{ verdict === 'at risk' ? 'At risk' : verdict === 'broken' ? 'Broken' : 'Sound' }}:</b> {{ sentence }}</span
    >
  </p>
</template>

<style scoped>
.verdict {
  display: flex;
  gap: 8px;
  align-items: flex-start;
  line-height: 1.3;
}
svg {
  flex: none;
  fill: none;
  stroke: currentColor;
  stroke-width: 1.8;
  margin-top: 0;
}
.sound {
  color: var(--sound);
}
.at-risk {
  color: var(--risk);
}
.broken {
  color: var(--broken);
}
</style>
