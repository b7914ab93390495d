<script setup lang="ts">
import { computed } from 'vue';
import type { Front } from '#core/model/front';
import type { PressureReport } from '#core/model/pressure';
import type { Passing } from '#core/model/resolution';
import type { BoardScale } from './scale';

/** The ways of those who come, drawn under the men: stopped at a blocker's foot, or through to the spot. */
const props = defineProps<{
  pressure: PressureReport;
  front: Front;
  passing: Passing;
  scale: BoardScale;
  blockers: ReadonlyMap<string, { x: number; y: number }>;
}>();

const lanes = computed(() =>
  props.pressure.rushers.flatMap((id) => {
    const d = props.front.defenders.find((x) => x.id === id);
    if (!d) return [];
    const { x, y } = props.scale;
    const { spot } = props.passing;
    const mate = props.pressure.twist?.includes(id)
      ? props.front.defenders.find((m) => m.id === props.pressure.twist!.find((t) => t !== id))
      : undefined;
    const turn = mate
      ? [
          { x: (d.x + mate.x) / 2, y: props.pressure.twist![0] === id ? 1.5 : 5 },
          { x: mate.x, y: 1 },
        ]
      : [];
    const free = props.pressure.free.find((f) => f.id === id);
    const owner = props.pressure.pickedUp.find((p) => p.rusher === id)?.by[0];
    const end = owner ? (props.blockers.get(owner) ?? spot) : spot;
    const points = [d, ...turn, end];
    return [
      {
        id,
        free,
        d: points.map((p, i) => `${i ? 'L' : 'M'} ${x(p.x)} ${y(p.y)}`).join(' '),
        end: { x: x(end.x), y: y(end.y) },
        late: props.pressure.late.includes(id),
        says: free ? `${id} free, ${free.arrives.toFixed(1)} s` : '',
        at: {
          x: x((points[points.length - 2]!.x + end.x * 2) / 3),
          y: y((points[points.length - 2]!.y + end.y * 2) / 3),
        },
      },
    ];
  }),
);
</script>

<template>
  <g v-for="l in lanes" :key="l.id" class="lane" :class="{ free: l.free, late: l.late }">
    <path :d="l.d" />
    <circle v-if="l.free" :cx="l.end.x" :cy="l.end.y" r="5" />
    <text v-if="l.free" :x="l.at.x + 8" :y="l.at.y">{{ l.says }}</text>
  </g>
</template>

<style scoped>
.lane path {
  fill: none;
  stroke: var(--defence);
  stroke-width: 2;
  stroke-dasharray: 1 4;
  stroke-linecap: round;
}
.lane.late path {
  stroke: var(--risk);
  stroke-dasharray: 6 4;
}
.lane.free path {
  stroke: var(--broken);
  stroke-width: 3;
  stroke-dasharray: 9 4;
}
.lane.free circle {
  fill: var(--broken);
}
.lane text {
  font-size: 12px;
  font-weight: 700;
  fill: var(--broken);
  paint-order: stroke;
  stroke: var(--ground);
  stroke-width: 4px;
}
</style>
