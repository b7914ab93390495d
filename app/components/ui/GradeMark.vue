<script setup lang="ts">
import type { AssignmentMark, Grade, TechniqueMark } from '#core/model/grade';
import { computed } from 'vue';

/** A mark as a diamond of two halves: left assignment, right technique. Filled right, struck wrong, dotted cannot tell, hollow not his fault. */
const props = withDefaults(defineProps<{ grade: Grade | null; size?: number }>(), { size: 18 });

type Look = 'filled' | 'struck' | 'dotted' | 'hollow';
const LEFT: Record<AssignmentMark, Look> = {
  right: 'filled',
  wrong: 'struck',
  'not his fault': 'hollow',
  'cannot tell': 'dotted',
};
const RIGHT: Record<TechniqueMark, Look> = { plus: 'filled', minus: 'struck', 'cannot tell': 'dotted' };
const left = computed<Look | null>(() => (props.grade ? LEFT[props.grade.assignment] : null));
const right = computed<Look | null>(() => (props.grade ? RIGHT[props.grade.technique] : null));
const words = computed(() =>
  props.grade ? `assignment ${props.grade.assignment}, technique ${props.grade.technique}` : 'not graded',
);
</script>

<template>
  <svg class="mark" :width="size" :height="size" viewBox="0 0 20 20" role="img" :aria-label="words">
    <title>{{ words }}</title>
    <template v-if="grade">
      <path d="M 9.3 1.5 V 18.5 L 1.5 10 Z" :class="left" />
      <path v-if="left === 'struck'" class="strike" d="M 2 15.5 L 9 4.5" />
      <path d="M 10.7 1.5 V 18.5 L 18.5 10 Z" :class="right" />
      <path v-if="right === 'struck'" class="strike" d="M 11 15.5 L 18 4.5" />
    </template>
    <circle v-else cx="10" cy="10" r="1.6" class="none" />
  </svg>
</template>

<style scoped>
.mark {
  display: inline-block;
  vertical-align: -4px;
  overflow: visible;
}
path {
  stroke: var(--ink);
  stroke-width: 1.3;
  fill: none;
  stroke-linejoin: round;
}
.filled {
  fill: var(--ink);
}
.struck {
  fill: none;
}
.strike {
  stroke: var(--broken);
  stroke-width: 2.4;
  stroke-linecap: round;
}
.dotted {
  stroke-dasharray: 0.5 2.6;
  stroke-linecap: round;
}
.none {
  fill: var(--soft);
}
</style>
