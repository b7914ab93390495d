<script setup lang="ts">
import { useResizeObserver } from '@vueuse/core';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { rateIn, type BookLine } from '#core/grade/book/lines';
import { loadPlotly, type Plot } from './plotly';
import { trendPlot } from './trend';

/** How a number went from game to game, with its interval and its count at each. */
const props = defineProps<{ lines: readonly BookLine[]; passLine: number }>();
const place = ref<HTMLElement | null>(null);
const failed = ref(false);
let plot: Plot | null = null;
const told = computed(() => props.lines.filter((l) => rateIn(l, 'both').share !== null));

async function draw(): Promise<void> {
  if (!place.value || told.value.length === 0) return;
  try {
    plot ??= await loadPlotly();
  } catch {
    failed.value = true;
    return;
  }
  const { data, layout } = trendPlot(
    told.value,
    props.passLine,
    getComputedStyle(place.value),
    place.value.clientWidth,
  );
  await plot.react(place.value, data, layout, { displayModeBar: false });
}
let theme: MutationObserver | null = null;
onMounted(() => {
  void draw();
  theme = new MutationObserver(() => void draw());
  theme.observe(document.documentElement, { attributeFilter: ['data-theme'] });
});
watch(told, () => void draw(), { flush: 'post' });
useResizeObserver(place, () => void draw());
onBeforeUnmount(() => {
  theme?.disconnect();
  if (place.value) plot?.purge(place.value);
});
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
    <p v-if="failed" class="soft">The chart could not be loaded. {{ words }}.</p>
    <div v-else ref="place" class="chart" role="img" :aria-label="words" />
  </section>
</template>

<style scoped>
.trend {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 2px;
}
.chart {
  overflow: hidden;
  height: 190px;
}
</style>
