<script setup lang="ts">
import { computed } from 'vue';
import { rateIn, type BookLine } from '#core/grade/book/lines';
import PlotChart from './PlotChart.vue';
import { trendPlot, type Tokens } from './plots';

/** How a number went from game to game, with its interval and its count at each. */
const props = defineProps<{ lines: readonly BookLine[]; passLine: number }>();
const told = computed(() => props.lines.filter((l) => rateIn(l, 'both').share !== null));
const draw = computed(() => (tokens: Tokens, width: number) => trendPlot(told.value, props.passLine, tokens, width));
const words = computed(() =>
  told.value
    .map((l) => {
      const { share, good, of } = rateIn(l, 'both');
      return `${l.label}: ${Math.round((share ?? 0) * 100)} %, ${good} of ${of}`;
    })
    .join('; '),
);
</script>

<template>
  <section v-if="told.length > 1" class="trend">
    <h2>From game to game: right man and technique</h2>
    <PlotChart :draw="draw" :words="words" :height="190" />
  </section>
</template>

<style scoped>
.trend {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 2px;
}
</style>
