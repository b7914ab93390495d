<script setup lang="ts">
import { computed } from 'vue';
import type { Defender } from '#core/model/front';
import type { DefenderStatus } from '#core/model/resolution';
import { nudgeOf } from './hold';
import { BAR_HALF as HALF, type BoardScale } from './scale';

const props = defineProps<{
  defender: Defender;
  place: { x: number; y: number };
  scale: BoardScale;
  /** Moved so that he can be read beside whoever stands where he does. */
  shift?: string;
  label: string;
  status: DefenderStatus | 'outside';
  selected: boolean;
  movable: boolean;
}>();
const emit = defineEmits<{ grab: [event: PointerEvent]; focus: []; nudge: [dx: number, dy: number] }>();

const NOTCH = 5;
const w = computed(() => props.scale.across);
const onBoard = computed(() => Math.abs(props.place.x) < 26);
/** Down men show a notch toward the offence, standing men a flat side. */
const outline = computed(() => {
  const [l, r] = [-w.value, w.value];
  const near = props.defender.stance === 'down' ? `H ${NOTCH} L 0 ${HALF - NOTCH} L ${-NOTCH} ${HALF}` : '';
  return `M ${l} ${-HALF} H ${r} V ${HALF} ${near} H ${l} Z`;
});
/** Left alone on purpose: a dotted ring. */
const ringed = computed(() => props.status === 'read' || props.status === 'left');
const fade = computed(() => (props.place.y > 24 ? 0.45 : props.place.y > 4.5 ? 0.8 : 1));
const deeper = computed(() => (props.place.y > props.scale.far ? `${Math.round(props.place.y / 3)} yd` : ''));
function key(event: KeyboardEvent): void {
  const move = props.movable ? nudgeOf(event) : null;
  if (move) emit('nudge', ...move);
}
</script>

<template>
  <g
    v-if="onBoard"
    class="defender"
    :class="[status, { selected, movable }]"
    :transform="`translate(${scale.x(place.x)} ${scale.y(place.y)}) ${shift ?? ''}`"
    :tabindex="movable ? 0 : undefined"
    :role="movable ? 'button' : undefined"
    :aria-label="`${[defender.id, label, status].filter(Boolean).join(', ')}${movable ? '. Arrow keys move him half a foot' : ''}`"
    @pointerdown="emit('grab', $event)"
    @focus="emit('focus')"
    @keydown="key"
  >
    <rect class="hit" :x="-w - 4" :y="-HALF - 30" :width="2 * w + 8" :height="2 * HALF + 36" />
    <rect v-if="ringed" class="ring" :x="-w - 7" :y="-HALF - 7" :width="2 * w + 14" :height="2 * HALF + 14" rx="14" />
    <path class="bar" :d="outline" />
    <path
      v-if="status === 'free'"
      class="hatch"
      :d="`M ${-w + 4} ${HALF} L ${-w + 16} ${-HALF} M ${-w + 14} ${HALF} L ${-w + 26} ${-HALF} M ${w - 26} ${HALF} L ${w - 14} ${-HALF} M ${w - 16} ${HALF} L ${w - 4} ${-HALF}`"
    />
    <text class="id" x="0" :y="defender.stance === 'down' ? 1.5 : 4">{{ defender.id }}</text>
    <text class="label" x="0" :y="-HALF - (ringed ? 10 : 4)">{{ deeper || label }}</text>
    <text v-if="ringed || status === 'free'" class="status" x="0" :y="-HALF - (ringed ? 22 : 16)">{{ status }}</text>
  </g>
</template>

<style scoped>
.defender {
  outline: none;
  color: var(--defence);
}
.defender.movable {
  cursor: grab;
}
.hit {
  fill: transparent;
}
.bar {
  fill: var(--sheet);
  stroke: currentColor;
  stroke-width: 2;
  opacity: v-bind(fade);
}
.hatch {
  stroke: var(--broken);
  stroke-width: 1.6;
}
.free {
  color: var(--broken);
}
.id {
  font-size: 12px;
  font-weight: 700;
  fill: currentColor;
  text-anchor: middle;
}
.label {
  font-size: 11px;
  fill: currentColor;
  text-anchor: middle;
}
.status {
  font-size: 11px;
  font-weight: 700;
  fill: currentColor;
  text-anchor: middle;
}
.ring {
  fill: none;
  stroke: currentColor;
  stroke-width: 1.8;
  stroke-dasharray: 1 5;
  stroke-linecap: round;
}
.selected .bar {
  stroke: var(--violet);
  stroke-width: 2.5;
}
.defender:focus-visible .bar {
  stroke: var(--violet);
  stroke-width: 3.5;
}
</style>
