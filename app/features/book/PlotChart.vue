<script setup lang="ts">
import { useResizeObserver } from '@vueuse/core';
import { onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { loadPlotly, type PickedPoint, type Plot } from './plotly';
import type { DrawnPlot, Tokens } from './plots';

/**
 * A chart in the colours of the theme, drawn anew when its size, its theme or what it shows changes; `words` say the same. A click on a bar
 * says which one of which part it was, where its bars open something.
 */
const props = defineProps<{
  draw: (tokens: Tokens, width: number) => DrawnPlot;
  words: string;
  height: number;
  opens?: boolean;
}>();
const emit = defineEmits<{ pick: [part: number, bar: number] }>();
const place = ref<HTMLElement | null>(null);
const failed = ref(false);
let plot: Plot | null = null;

async function redraw(): Promise<void> {
  if (!place.value) return;
  try {
    plot ??= await loadPlotly();
  } catch {
    failed.value = true;
    return;
  }
  if (!place.value) return;
  const { data, layout } = props.draw(getComputedStyle(place.value), place.value.clientWidth);
  const drawn = await plot.react(place.value, data, layout, { displayModeBar: false });
  if (props.opens && !listening) drawn.on('plotly_click', ({ points }) => points[0] && pick(points[0]));
  listening = true;
}
let listening = false;
const pick = ({ curveNumber, pointNumber }: PickedPoint): void => emit('pick', curveNumber, pointNumber);
let theme: MutationObserver | null = null;
onMounted(() => {
  void redraw();
  theme = new MutationObserver(() => void redraw());
  theme.observe(document.documentElement, { attributeFilter: ['data-theme'] });
});
watch(
  () => props.draw,
  () => void redraw(),
  { flush: 'post' },
);
useResizeObserver(place, () => void redraw());
onBeforeUnmount(() => {
  theme?.disconnect();
  if (place.value) plot?.purge(place.value);
});
</script>

<template>
  <p v-if="failed" class="soft">The chart could not be loaded. {{ words }}.</p>
  <div
    v-else
    ref="place"
    class="chart"
    :class="{ opens }"
    role="img"
    :aria-label="words"
    :style="{ height: `${height}px` }"
  />
</template>

<style scoped>
.chart {
  overflow: hidden;
}
.opens :deep(.nsewdrag) {
  cursor: pointer;
}
</style>
