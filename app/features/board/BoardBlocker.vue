<script setup lang="ts">
import { computed } from 'vue';
import type { Blocker } from '#core/model/formation';
import { nudgeOf } from './hold';
import { BAR_HALF, EDGE, type BoardScale } from './scale';

const props = defineProps<{
  man: Blocker;
  number: number | undefined;
  scale: BoardScale;
  selected: boolean;
  idle: boolean;
  /** Moved so that he can be read beside whoever stands where he does. */
  shift?: string;
  /** He can be taken in hand. */
  movable?: boolean;
  /** His part in a pair, in words. */
  part?: string | null;
}>();
const emit = defineEmits<{ select: []; grab: [event: PointerEvent]; nudge: [dx: number, dy: number] }>();

const HEIGHT = 2 * BAR_HALF;
const width = computed(() => 2 * props.scale.across);
/** Who stands out of the picture is drawn near its edge with his distance under him, in the order in which they stand. */
const BAND = 64;
const FARTHEST = 26;
const x = computed(() => {
  const at = props.scale.x(props.man.x);
  const out = Math.max(EDGE - at, at - (props.scale.width - EDGE));
  if (out <= 0) return at;
  const back = BAND * (1 - Math.min(1, out / (FARTHEST * props.scale.across)));
  return at < EDGE ? EDGE + back : props.scale.width - EDGE - back;
});
const wider = computed(() =>
  x.value === props.scale.x(props.man.x) ? '' : `${Math.round(Math.abs(props.man.x) / 3)} yd out`,
);
const y = computed(() => props.scale.y(props.man.y));
const deeper = computed(() => (props.man.y < props.scale.shallow ? `${Math.round(-props.man.y / 3)} yd` : ''));
const beside = computed(() => [wider.value, deeper.value, props.part ?? ''].filter(Boolean).join(', '));

function take(event: PointerEvent): void {
  emit('select');
  if (props.movable) emit('grab', event);
}
function key(event: KeyboardEvent): void {
  const move = props.movable ? nudgeOf(event) : null;
  if (move) emit('nudge', ...move);
}
</script>

<template>
  <g
    class="blocker"
    :class="{ selected, idle, movable }"
    :transform="`translate(${x} ${y}) ${shift ?? ''}`"
    :tabindex="movable ? 0 : undefined"
    :role="movable ? 'button' : undefined"
    :aria-label="movable ? `${man.id}. Arrow keys move him half a foot` : undefined"
    @pointerdown="take"
    @focus="movable && emit('select')"
    @keydown="key"
  >
    <title>{{ man.id }}{{ number === undefined ? '' : ` ${number}` }}</title>
    <path class="nose" d="M -6 -9 L 0 -16 L 6 -9 Z" />
    <rect class="bar" :x="-width / 2" :y="-HEIGHT / 2" :width="width" :height="HEIGHT" :rx="HEIGHT / 2" />
    <text :x="number === undefined ? 0 : -width * 0.14" y="4.5" class="seat">{{ man.id }}</text>
    <text v-if="number !== undefined" :x="width * 0.24" y="4" class="number">{{ number }}</text>
    <text v-if="beside" x="0" :y="HEIGHT / 2 + 10" class="deeper">{{ beside }}</text>
  </g>
</template>

<style scoped>
.blocker {
  cursor: pointer;
  outline: none;
}
.blocker.movable {
  cursor: grab;
}
.blocker.movable:focus-visible .bar {
  stroke: var(--violet);
  stroke-width: 3;
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
