<script setup lang="ts">
import { computed } from 'vue';
import type { Dimension } from '#core/grade/book/dimensions';
import type { BookLine } from '#core/grade/book/lines';
import { saySpread } from '#core/grade/book/spread';
import PlotChart from './PlotChart.vue';
import { spreadPlot, type Tokens } from './plots';
import { sayKey } from './words';

/** How the marks behind each share spread: whether one is often a little short or seldom all wrong. */
const props = defineProps<{ by: Dimension; lines: readonly BookLine[] }>();
/** So many lines, the first, are drawn; and a bar is so high with what is between two, pixels. */
const MOST = 16;
const BAR = 24;
/** What stands above and below the bars, pixels. */
const AROUND = 74;
const drawn = computed(() => props.lines.slice(0, MOST).map((l) => ({ label: sayKey(props.by, l), spread: l.spread })));
const draw = computed(() => (tokens: Tokens, width: number) => spreadPlot(drawn.value, tokens, width));
const words = computed(() => drawn.value.map((l) => saySpread(l.label, l.spread)).join('; '));
</script>

<template>
  <section class="spread">
    <h2>How the grades spread: what each mark earned of what it could</h2>
    <PlotChart :draw="draw" :words="words" :height="AROUND + BAR * drawn.length" />
    <p v-if="lines.length > MOST" class="soft">The first {{ MOST }} of {{ lines.length }}.</p>
  </section>
</template>

<style scoped>
.spread {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 2px;
}
</style>
