<script setup lang="ts">
import { computed, onMounted } from 'vue';
import { useRoster } from '~/features/roster/store';
import WeekHead from '~/features/week/WeekHead.vue';
import { useWeek } from '~/features/week/store';
import AddLook from './AddLook.vue';
import AddPlay from './AddPlay.vue';
import CallSheetForm from './CallSheetForm.vue';
import InstallOrder from './InstallOrder.vue';
import PlanMen from './PlanMen.vue';
import PlayLookTable from './PlayLookTable.vue';
import TheirMen from './TheirMen.vue';
import WeakPairs from './WeakPairs.vue';
import { usePlan } from './store';

/** What we call against what they show, and what that asks of every man. */
const plan = usePlan();
const week = useWeek();
const roster = useRoster();
onMounted(() => void roster.open());
const says = computed(() => {
  const { plays, looks } = plan.plan;
  if (!plan.isReady) return 'Choose the plays of the week and what they will meet; everything else follows from it.';
  const calls = plays.reduce((sum, p) => sum + p.times, 0);
  const sound = plays.reduce((sum, p, i) => sum + p.times * (plan.sound[i] ?? 0), 0) / calls;
  const share = plan.cells.length ? ` ${Math.round(100 * sound)} % of it is sound.` : '';
  return `${calls} calls of ${plays.length} plays against ${looks.length} looks.${share}`;
});
</script>

<template>
  <div class="place">
    <WeekHead title="The plan" :says="says" />
    <template v-if="week.game">
      <p v-if="plan.problem || plan.gaps.length" class="page-problem" role="alert">
        {{ plan.problem || plan.gaps.join(' ') }}
      </p>
      <PlayLookTable v-if="plan.plan.plays.length || plan.plan.looks.length" />
      <div class="adds">
        <AddPlay />
        <AddLook />
      </div>
      <WeakPairs v-if="plan.weak.length" />
      <PlanMen v-if="plan.men.length" />
      <CallSheetForm v-if="plan.plan.plays.length" />
      <InstallOrder />
      <TheirMen v-if="plan.theirs.length" />
    </template>
  </div>
</template>

<style scoped>
.adds {
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 8px 36px;
  padding: 10px 20px 14px;
  border-bottom: 1px solid var(--rule);
}
@media (max-width: 900px) {
  .adds {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
