<script setup lang="ts">
import { computed } from 'vue';
import { walkthroughOf } from './address';
import { usePlan } from './store';

/** One play against one look, by their places in the plan: the verdict, and the one block it hangs on there. */
const props = defineProps<{ play: number; look: number }>();
const plan = usePlan();
const cell = computed(() => plan.cell(props.play, props.look));
const to = computed(() => walkthroughOf(plan.plan.plays[props.play]!, plan.plan.looks[props.look]!));
</script>

<template>
  <td :class="cell.answer?.verdict.replace(' ', '-')">
    <NuxtLink v-if="cell.answer" :to="to" :title="cell.answer.sentence">
      <VerdictShape :verdict="cell.answer.verdict" />
      <span>{{ cell.answer.verdict }}</span>
      <b v-if="cell.hangsOn" :title="`${cell.hangsOn.blocker} on ${cell.hangsOn.on}, ${cell.hangsOn.way}`"
        ><span class="visually-hidden">hangs on </span>{{ cell.hangsOn.blocker }}</b
      >
    </NuxtLink>
    <span v-else class="soft" :title="cell.gap">{{ cell.gap ? 'cannot be lined up' : '…' }}</span>
  </td>
</template>

<style scoped>
td {
  padding: 3px 12px 3px 0;
  border-bottom: 1px solid var(--rule);
}
a {
  display: grid;
  grid-template-columns: 16px auto 1fr;
  gap: 0 6px;
  align-items: center;
  color: var(--soft);
  text-decoration: none;
  font-size: 12.5px;
}
a:hover span:first-of-type {
  color: var(--violet);
}
a svg {
  width: 15px;
}
.broken a {
  color: var(--broken);
}
.at-risk a {
  color: var(--risk);
}
b {
  color: var(--ink);
}
</style>
