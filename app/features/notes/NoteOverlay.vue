<script setup lang="ts">
import { computed } from 'vue';
import { strokesOf } from '#core/film/notes/shapes';
import type { Shape, Shares } from '#core/model/film-note';

/** What is drawn over a picture, in its own pixels; `unit` of them are one of the screen. */
const props = defineProps<{
  width: number;
  height: number;
  unit: number;
  shapes: readonly Shape[];
  cross: Shares | null;
}>();
const strokes = computed(() => props.shapes.map((s) => strokesOf(s, props)));
const path = (line: readonly Shares[]): string => `M${line.map((p) => `${p.x} ${p.y}`).join('L')}`;
const crossed = computed(() => {
  if (!props.cross) return '';
  const [x, y, half] = [props.cross.x * props.width, props.cross.y * props.height, 9 * props.unit];
  return `M${x - half} ${y}L${x + half} ${y}M${x} ${y - half}L${x} ${y + half}`;
});
</script>

<template>
  <g class="notes" :style="{ '--unit': unit }">
    <g v-for="(s, i) in strokes" :key="i">
      <template v-for="under in [true, false]" :key="String(under)">
        <path v-for="(line, j) in s.lines" :key="j" :class="{ under }" :d="path(line)" />
        <circle v-for="(c, j) in s.circles" :key="`c${j}`" :class="{ under }" :cx="c.x" :cy="c.y" :r="c.r" />
      </template>
      <text v-if="s.label" :x="s.label.x" :y="s.label.y" :font-size="15 * unit" text-anchor="middle">
        {{ s.label.text }}
      </text>
    </g>
    <path v-if="crossed" class="cross" :d="crossed" />
  </g>
</template>

<style scoped>
path,
circle {
  fill: none;
  stroke: #f7f3c8;
  stroke-width: calc(3px * var(--unit));
  stroke-linecap: round;
  stroke-linejoin: round;
}
/* Chalk on grass and on jerseys alike: it has a dark edge. */
.under {
  stroke: #0d130e;
  stroke-width: calc(5.5px * var(--unit));
}
.cross {
  stroke: #ff9a8f;
  stroke-width: calc(1.5px * var(--unit));
}
text {
  fill: #f7f3c8;
  paint-order: stroke;
  stroke: #0d130e;
  stroke-width: calc(4px * var(--unit));
  font-weight: 700;
}
</style>
