<script setup lang="ts">
import { computed, ref } from 'vue';
import { sayMend } from '#core/plan/mends';
import { upperFirst } from '~/features/board/words';
import { walkthroughOf } from './address';
import { sayPlayOf } from './say-play';
import { usePlan } from './store';

/** Where the plan does not hold, what comes most often first, each with the smallest thing that mends it. */
const { most = 8 } = defineProps<{ most?: number }>();
const plan = usePlan();
const all = ref(false);
const shown = computed(() => (all.value ? plan.weak : plan.weak.slice(0, most)));
const sayTimes = (times: number): string => (times < 0.95 ? 'less than once' : `about ${Math.round(times)} times`);
</script>

<template>
  <section aria-label="Weak pairs">
    <h2>Where the plan does not hold</h2>
    <ol>
      <li v-for="w in shown" :key="`${w.play} ${w.look}`" :class="w.verdict.replace(' ', '-')">
        <VerdictShape :verdict="w.verdict" />
        <NuxtLink :to="walkthroughOf(plan.plan.plays[w.play]!, plan.plan.looks[w.look]!)"
          >{{ sayPlayOf(plan.plan.plays[w.play]!) }} against {{ plan.plan.looks[w.look]!.frontName }}</NuxtLink
        >
        <span class="soft">{{ sayTimes(w.times) }}</span>
        <span>{{ w.sentence }}</span>
        <b>{{ w.mend === undefined ? '…' : upperFirst(sayMend(w.mend)) }}</b>
      </li>
    </ol>
    <button v-if="plan.weak.length > most" class="plain link" type="button" @click="all = !all">
      {{ all ? 'Only what comes most often' : `All ${plan.weak.length}` }}
    </button>
  </section>
</template>

<style scoped>
section {
  padding: 8px 20px 14px;
  border-bottom: 1px solid var(--rule);
}
ol {
  list-style: none;
  padding: 0;
  margin: 4px 0;
}
li {
  display: grid;
  grid-template-columns: 16px minmax(0, 230px) 104px minmax(0, 1.4fr) minmax(0, 1fr);
  gap: 2px 12px;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
  align-items: baseline;
  font-size: 13px;
}
li svg {
  width: 15px;
}
@media (max-width: 760px) {
  li {
    grid-template-columns: 16px minmax(0, 1fr);
  }
  li > :not(:first-child) {
    grid-column: 2;
  }
}
</style>
