<script setup lang="ts">
import { computed } from 'vue';
import type { Assignment } from '#core/model/resolution';
import { BLOCKS, type BlockId } from '#core/vocabulary/index';
import type { BoardScale } from './scale';

const props = defineProps<{ assignment: Assignment; scale: BoardScale; on: boolean }>();

const points = computed(() => props.assignment.path.map((p) => ({ x: props.scale.x(p.x), y: props.scale.y(p.y) })));
const course = computed(() => BLOCKS[props.assignment.block as BlockId].course);
const line = (list: readonly { x: number; y: number }[], shift = 0): string => list.map((p, i) => `${i ? 'L' : 'M'} ${p.x + shift} ${p.y}`).join(' ');
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
  </g>
</template>

<style scoped>
.path path { fill: none; stroke: var(--ink); stroke-width: 2.2; stroke-linejoin: round; }
.path .climb { stroke-dasharray: 7 5; }
.path .pull { stroke-dasharray: 15 2; }
.path.on path { stroke: var(--violet); stroke-width: 2.8; }
</style>
