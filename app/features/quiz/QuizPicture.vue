<script setup lang="ts">
import type { QuizPart } from '#core/model/quiz';

/** What is asked, as a drawing: our man and theirs, two of ours on one, on to the next level, the foot that goes first. */
defineProps<{ part: QuizPart; says: string }>();
</script>

<template>
  <svg viewBox="0 0 200 96" role="img" :aria-label="says">
    <g v-if="part === 'whom'">
      <rect class="theirs" x="80" y="8" width="40" height="26" />
      <rect class="ours" x="82" y="64" width="36" height="24" rx="12" />
      <path class="link" d="M 100 62 V 38" />
      <text x="146" y="34">?</text>
    </g>
    <g v-else-if="part === 'with'">
      <rect class="theirs" x="80" y="8" width="40" height="26" />
      <rect class="ours" x="62" y="64" width="36" height="24" rx="12" />
      <rect class="asked" x="104" y="64" width="36" height="24" rx="12" />
      <path class="link" d="M 82 62 L 94 38 M 120 62 L 108 38" />
      <text x="156" y="86">?</text>
    </g>
    <g v-else-if="part === 'then'">
      <rect class="theirs" x="80" y="36" width="40" height="22" />
      <rect class="ours" x="82" y="70" width="36" height="22" rx="11" />
      <path class="link" d="M 118 76 C 150 70 150 40 132 22 m 0 0 l 2 12 m -2 -12 l 11 4" />
      <rect class="asked" x="92" y="4" width="36" height="20" />
      <text x="160" y="28">?</text>
    </g>
    <g v-else-if="part === 'foot'">
      <ellipse class="asked" cx="78" cy="56" rx="13" ry="26" />
      <ellipse class="asked" cx="122" cy="56" rx="13" ry="26" />
      <text x="156" y="66">?</text>
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: 220px;
  height: 106px;
}
.theirs {
  fill: var(--sheet);
  stroke: var(--defence);
  stroke-width: 3;
}
.ours {
  fill: var(--violet);
}
.asked {
  fill: none;
  stroke: var(--violet);
  stroke-width: 3;
  stroke-dasharray: 6 4;
}
.link {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3;
}
text {
  fill: var(--ink);
  font-size: 34px;
  font-weight: 700;
}
</style>
