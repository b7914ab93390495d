<script setup lang="ts">
import { computed } from 'vue';
import type { Dimension } from '#core/grade/book/dimensions';
import type { BookLine } from '#core/grade/book/lines';
import { saySpread, SPREAD, SPREAD_PARTS, type SpreadPart } from '#core/grade/book/spread';
import PlotChart from './PlotChart.vue';
import { spreadPlot, type Tokens } from './plots';
import { sayKey } from './words';

/** How the marks behind each share spread: whether one is often a little short or seldom all wrong. */
const props = defineProps<{ by: Dimension; lines: readonly BookLine[] }>();
const emit = defineEmits<{ open: [line: BookLine, title: string, part: SpreadPart] }>();
function pick(part: number, bar: number): void {
  const [line, which] = [props.lines[bar], SPREAD_PARTS[part]];
  if (line && which) emit('open', line, `${sayKey(props.by, line)}, ${SPREAD[which].name}`, which);
}
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
    <PlotChart :draw="draw" :words="words" :height="AROUND + BAR * drawn.length" opens @pick="pick" />
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
