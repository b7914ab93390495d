<script setup lang="ts">
import { computed } from 'vue';
import type { Blocker } from '#core/model/formation';
import type { BoardScale } from './scale';

const props = defineProps<{
  man: Blocker;
  number: number | undefined;
  scale: BoardScale;
  selected: boolean;
  idle: boolean;
}>();
defineEmits<{ select: [] }>();

const HEIGHT = 21;
const width = computed(() => 2 * props.scale.across);
const x = computed(() => props.scale.x(props.man.x));
const y = computed(() => props.scale.y(props.man.y));
const deeper = computed(() => (props.man.y < props.scale.shallow ? `${Math.round(-props.man.y / 3)} yd` : ''));
</script>

<template>
  <g class="blocker" :class="{ selected, idle }" :transform="`translate(${x} ${y})`" @pointerdown="$emit('select')">
    <title>{{ man.id }}{{ number === undefined ? '' : ` ${number}` }}</title>
    <path class="nose" d="M -6 -9 L 0 -16 L 6 -9 Z" />
    <rect class="bar" :x="-width / 2" :y="-HEIGHT / 2" :width="width" :height="HEIGHT" :rx="HEIGHT / 2" />
    <text :x="number === undefined ? 0 : -width * 0.14" y="4.5" class="seat">{{ man.id }}</text>
    <text v-if="number !== undefined" :x="width * 0.24" y="4" class="number">{{ number }}</text>
    <text v-if="deeper" x="0" :y="HEIGHT / 2 + 10" class="deeper">{{ deeper }}</text>
  </g>
</template>

<style scoped>
.blocker {
  cursor: pointer;
}
.bar,
.nose {
  fill: var(--ink);
}
.seat {
  font-size: 12px;
  font-weight: 700;
  fill: var(--sheet);
  text-anchor: middle;
}
.number {
  font-size: 11px;
  fill: var(--sheet);
  text-anchor: middle;
  opacity: 0.85;
}
.deeper {
  font-size: 10px;
  fill: var(--soft);
  text-anchor: middle;
}
.selected .bar,
.selected .nose {
  fill: var(--violet);
}
.selected text:not(.deeper) {
  fill: var(--on-violet);
}
.idle .bar {
  fill: var(--sheet);
  stroke: var(--soft);
  stroke-width: 1.5;
}
.idle .nose {
  fill: var(--soft);
}
.idle .seat,
.idle .number {
  fill: var(--ink);
}
</style>
