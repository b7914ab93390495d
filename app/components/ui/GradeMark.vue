<script setup lang="ts">
import { sayMarks } from '#core/grade/say-grade';
import { findRubric } from '#core/grade/rubrics/index';
import type { AssignmentMark, Grade, TechniqueMark } from '#core/model/grade';
import { computed } from 'vue';

/**
 * A mark as a diamond of two halves: left assignment, right technique. Filled right, struck wrong, dotted cannot tell, hollow not his fault.
 * A finish is a bar below it, points stand beside it; a dash: he had no part in it.
 */
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
const words = computed(() => (props.grade ? sayMarks(props.grade) : 'not graded'));
const below = computed<Look | null>(() => (props.grade?.finish ? RIGHT[props.grade.finish] : null));
/** The right half is the technique, unless the rubric gives points instead. */
const points = computed(() =>
  props.grade && findRubric(props.grade.rubric)?.parts.includes('points') ? (props.grade.points ?? '?') : null,
);
</script>

<template>
  <svg class="mark" :width="size" :height="size" viewBox="0 0 20 20" role="img" :aria-label="words">
    <title>{{ words }}</title>
    <path v-if="grade && !grade.counts" class="filled" d="M 5 10 H 15" />
    <template v-else-if="grade">
      <path d="M 9.3 1.5 V 18.5 L 1.5 10 Z" :class="left" />
      <path v-if="left === 'struck'" class="strike" d="M 2 15.5 L 9 4.5" />
      <text v-if="points !== null" x="11" y="14.5" class="points">{{ points }}</text>
      <path v-else d="M 10.7 1.5 V 18.5 L 18.5 10 Z" :class="right" />
      <path v-if="points === null && right === 'struck'" class="strike" d="M 11 15.5 L 18 4.5" />
      <template v-if="below">
        <path d="M 3 20.5 H 17 V 23 H 3 Z" :class="below" />
        <path v-if="below === 'struck'" class="strike" d="M 4 23.5 L 16 20" />
      </template>
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
.points {
  font-size: 13px;
  font-weight: 700;
  fill: var(--ink);
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
