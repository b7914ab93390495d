<script setup lang="ts">
import { computed } from 'vue';
import type { GainCount } from '#core/grade/book/play-result';
import PlotChart from './PlotChart.vue';
import { gainPlot, sayGains, yardAt, type Tokens } from './plots';

/** How far the plays went: one bar a yard, divided by whether the line blocked it. */
const props = defineProps<{ gains: readonly GainCount[]; standard: number }>();
const emit = defineEmits<{ open: [yard: number] }>();
const draw = computed(() => (tokens: Tokens, width: number) => gainPlot(props.gains, props.standard, tokens, width));
const words = computed(() => sayGains(props.gains));
</script>

<template>
  <section class="gains">
    <h2>How far they went</h2>
    <PlotChart :draw="draw" :words="words" :height="200" opens @pick="(_part, bar) => emit('open', yardAt(bar))" />
  </section>
</template>

<style scoped>
.gains {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 2px;
}
</style>
