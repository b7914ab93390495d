<script setup lang="ts">
import { useSeenSize } from '~/features/board/seen-size';
import { computed, ref } from 'vue';
import type { Cut } from '#core/film/recording/marks';
import type { Motion } from '#core/film/recording/suggest';

/** A recording from end to end: how much moves in it, what is suggested, what is taken, and where one is. */
const props = defineProps<{
  motion: Motion | null;
  frames: number;
  rate: number;
  frame: number;
  begun: number | null;
  cuts: readonly Cut[];
  suggested: readonly Cut[];
  inHand: Cut | null;
}>();
const emit = defineEmits<{ seek: [frame: number] }>();

const HEIGHT = 74;
const area = ref<HTMLElement | null>(null);
const { width } = useSeenSize(area);
const x = (frame: number): number => (frame / Math.max(1, props.frames)) * width.value;
/** The most that moves under every pixel, so that no play falls between two of them. */
const path = computed(() => {
  if (!props.motion || width.value === 0) return '';
  const { values } = props.motion;
  const columns = Math.max(1, Math.floor(width.value / 2));
  const tallest = [...values].sort((a, b) => a - b)[Math.floor(values.length * 0.94)] || 1;
  const tops = Array.from({ length: columns }, (_, i) => {
    const part = values.slice(
      Math.floor((i * values.length) / columns),
      Math.ceil(((i + 1) * values.length) / columns),
    );
    return Math.min(1, Math.max(0, ...part) / tallest);
  });
  return `M0 ${HEIGHT}${tops.map((t, i) => `L${(i * 2).toFixed(0)} ${(HEIGHT - t * (HEIGHT - 22)).toFixed(1)}`).join('')}L${width.value} ${HEIGHT}Z`;
});
function click(event: MouseEvent): void {
  const box = area.value!.getBoundingClientRect();
  emit('seek', Math.round(((event.clientX - box.left) / box.width) * (props.frames - 1)));
}
</script>

<template>
  <div ref="area" class="track" @click="click">
    <svg v-if="width" :width="width" :height="HEIGHT" aria-hidden="true">
      <path class="motion" :d="path" />
      <rect
        v-for="s in suggested"
        :key="`s${s.from}`"
        class="suggested"
        :class="{ hand: s === inHand }"
        :x="x(s.from)"
        y="14"
        :width="Math.max(2, x(s.to) - x(s.from))"
        :height="HEIGHT - 14"
      />
      <g v-for="c in cuts" :key="`c${c.from}`" class="cut" :class="{ hand: c === inHand }">
        <rect :x="x(c.from)" y="14" :width="Math.max(2, x(c.to) - x(c.from))" :height="HEIGHT - 14" />
        <text :x="x(c.from) + 2" y="11">{{ c.number }}</text>
        <line v-if="c.snap !== null" :x1="x(c.snap)" :x2="x(c.snap)" y1="14" :y2="HEIGHT" />
      </g>
      <line v-if="begun !== null" class="begun" :x1="x(begun)" :x2="x(begun)" y1="0" :y2="HEIGHT" />
      <line class="now" :x1="x(frame)" :x2="x(frame)" y1="0" :y2="HEIGHT" />
    </svg>
    <input
      type="range"
      min="0"
      :max="frames - 1"
      :value="frame"
      aria-label="Frame of the recording"
      @click.stop
      @input="emit('seek', Number(($event.target as HTMLInputElement).value))"
      @keydown.stop
    />
  </div>
</template>

<style scoped>
.track {
  cursor: crosshair;
}
svg {
  display: block;
  background: var(--sheet);
}
.motion {
  fill: var(--rule);
}
.suggested {
  fill: none;
  stroke: var(--soft);
  stroke-dasharray: 3 3;
}
.suggested.hand {
  stroke: var(--violet);
  stroke-width: 2;
}
.cut rect {
  fill: var(--violet);
  opacity: 0.24;
}
.cut.hand rect {
  opacity: 0.45;
}
.cut line {
  stroke: var(--violet);
  stroke-width: 2;
}
.cut text {
  font-size: 11px;
  font-weight: 650;
  fill: var(--violet);
}
.begun {
  stroke: var(--violet);
  stroke-width: 2;
  stroke-dasharray: 4 3;
}
.now {
  stroke: var(--broken);
  stroke-width: 1.5;
}
input {
  width: 100%;
  margin: 0;
  accent-color: var(--violet);
}
</style>
