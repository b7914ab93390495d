<script setup lang="ts">
import { computed } from 'vue';
import type { Rate } from '#core/statistics/rate';

/** A percentage with its counts and interval; pressing it opens what it was counted from. */
const props = defineProps<{ rate: Rate; what: string }>();
defineEmits<{ open: [] }>();

const percent = computed(() => (props.rate.share === null ? '–' : `${Math.round(props.rate.share * 100)} %`));
/** What was earned of weighted marks is no whole number. */
const said = (n: number): string => (Number.isInteger(n) ? String(n) : n.toFixed(1));
const good = computed(() => said(props.rate.good));
const of = computed(() => said(props.rate.of));
const bar = (share: number): number => 2 + share * 96;
</script>

<template>
  <button
    class="plain rate"
    type="button"
    :aria-label="`${what}: ${percent}, ${good} of ${of}${rate.unknown ? `, ${rate.unknown} not counted` : ''}. Open the snaps`"
    @click="$emit('open')"
  >
    <span class="figure" :class="{ few: rate.tooFew }">{{ percent }}</span>
    <span v-if="rate.of > 0 || !rate.unknown" class="counts soft"
      >{{ good }} of {{ of }}<template v-if="rate.unknown">, {{ rate.unknown }} open</template
      ><template v-if="rate.tooFew">, too few</template></span
    >
    <svg v-if="rate.share !== null" viewBox="0 0 100 8" width="100" height="8" aria-hidden="true">
      <line x1="2" x2="98" y1="4" y2="4" class="scale" />
      <line :x1="bar(rate.low)" :x2="bar(rate.high)" y1="4" y2="4" class="range" />
      <line :x1="bar(rate.share)" :x2="bar(rate.share)" y1="0" y2="8" class="point" />
    </svg>
  </button>
</template>

<style scoped>
.rate {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 0 7px;
  align-items: baseline;
}
.rate:hover .figure {
  white-space: nowrap;
  color: var(--violet);
  text-decoration: underline;
  text-underline-offset: 3px;
}

.figure {
  white-space: nowrap;
  font-size: 16px;
  font-weight: 650;
}
.figure.few {
  font-weight: 400;
  color: var(--soft);
}
.counts {
  font-size: 12px;
  font-variation-settings: var(--narrow);
  white-space: nowrap;
}
svg {
  grid-column: 1 / -1;
}
.scale {
  stroke: var(--rule);
  stroke-width: 2;
}
.range {
  stroke: var(--soft);
  stroke-width: 3;
}
.point {
  stroke: var(--ink);
  stroke-width: 2.5;
}
</style>
