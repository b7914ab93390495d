<script setup lang="ts">
import { computed } from 'vue';
import type { Assignment } from '#core/model/resolution';
import type { Side } from '#core/model/side';
import { aimPoint, firstStep } from '#core/movement/first-step';
import { BLOCKS, type BlockId } from '#core/vocabulary/index';
import type { BoardScale } from './scale';

const props = defineProps<{
  assignment: Assignment;
  scale: BoardScale;
  on: boolean;
  /** Where his man stands, and the side of the play: what the aiming point is worked out from. */
  target: { x: number; y: number } | null;
  side: Side;
}>();

/** The foot he starts with, before and after its first step, and the place on his man he aims at. */
const step = computed(() => {
  const { from, to } = firstStep(props.assignment, props.assignment.path[0]!);
  return {
    from: { x: props.scale.x(from.x), y: props.scale.y(from.y) },
    to: { x: props.scale.x(to.x), y: props.scale.y(to.y) },
  };
});
const aim = computed(() => {
  const at = props.target && aimPoint(props.assignment.aim, props.assignment.path[0]!, props.target, props.side);
  return at && { x: props.scale.x(at.x), y: props.scale.y(at.y) + 11 };
});

const points = computed(() => props.assignment.path.map((p) => ({ x: props.scale.x(p.x), y: props.scale.y(p.y) })));
const course = computed(() => BLOCKS[props.assignment.block as BlockId].course);
const line = (list: readonly { x: number; y: number }[], shift = 0): string =>
  list.map((p, i) => `${i ? 'L' : 'M'} ${p.x + shift} ${p.y}`).join(' ');
const legs = computed(() => {
  const all = points.value;
  const split = props.assignment.next && all.length > 2 ? all.length - 1 : all.length;
  return { first: all.slice(0, split), then: all.slice(split - 1) };
});
const curved = computed(() => {
  const [start, ...rest] = legs.value.first;
  if (!start || rest.length < 2) return line(legs.value.first);
  const [a, b, ...more] = rest;
  return `M ${start.x} ${start.y} Q ${a!.x} ${a!.y + 6} ${(a!.x + b!.x) / 2} ${b!.y + 4} T ${b!.x} ${b!.y} ${more.map((p) => `L ${p.x} ${p.y}`).join(' ')}`;
});
/** A foot square to the way he came, at the end of the path. */
const foot = computed(() => {
  const all = points.value;
  const [a, b] = [all[all.length - 2], all[all.length - 1]];
  if (!a || !b) return '';
  const length = Math.hypot(b.x - a.x, b.y - a.y) || 1;
  const [nx, ny] = [(-(b.y - a.y) / length) * 7, ((b.x - a.x) / length) * 7];
  return `M ${b.x - nx} ${b.y - ny} L ${b.x + nx} ${b.y + ny}`;
});
const paired = computed(() => props.assignment.partners.length > 0);
</script>

<template>
  <g class="path" :class="{ on }">
    <path v-if="course === 'behind-the-line'" class="pull" :d="curved" />
    <template v-else>
      <path :class="course === 'climb' ? 'climb' : 'drive'" :d="line(legs.first, paired ? -2.4 : 0)" />
      <path v-if="paired" class="drive" :d="line(legs.first, 2.4)" />
    </template>
    <path v-if="assignment.next" class="climb" :d="line(legs.then)" />
    <path class="drive" :d="foot" />
    <g class="feet"
      ><circle :cx="step.from.x" :cy="step.from.y + 13" r="2.6" /><line
        :x1="step.from.x"
        :y1="step.from.y + 13"
        :x2="step.to.x"
        :y2="step.to.y + 13"
    /></g>
    <path
      v-if="aim"
      class="aim"
      :d="`M ${aim.x - 3.5} ${aim.y} L ${aim.x} ${aim.y - 4} L ${aim.x + 3.5} ${aim.y} L ${aim.x} ${aim.y + 4} Z`"
    />
  </g>
</template>

<style scoped>
.path path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2.2;
  stroke-linejoin: round;
}
.path .climb {
  stroke-dasharray: 7 5;
}
.path .pull {
  stroke-dasharray: 15 2;
}
.path .feet circle {
  fill: var(--ink);
}
.path .feet line {
  stroke: var(--ink);
  stroke-width: 2;
}
.path .aim {
  fill: var(--ink);
  stroke: var(--ground);
  stroke-width: 1;
}
.path.on .feet circle,
.path.on .aim {
  fill: var(--violet);
}
.path.on .feet line {
  stroke: var(--violet);
}
.path.on path {
  stroke: var(--violet);
  stroke-width: 2.8;
}
</style>
