<script setup lang="ts">
import { computed, onMounted, type Component } from 'vue';
import { useSession } from '~/features/session/store';
import GradeStep from './GradeStep.vue';
import MenStep from './MenStep.vue';
import OpponentStep from './OpponentStep.vue';
import PlayStep from './PlayStep.vue';
import PlaysStep from './PlaysStep.vue';
import SeeStep from './SeeStep.vue';
import { useFirst } from './store';
import { STEPS, type StepId } from './steps';
import WordsStep from './WordsStep.vue';

/** From an empty program to one's own first play against the next opponent's front. */
const first = useFirst();
const session = useSession();
const BODIES: Record<StepId, Component> = {
  play: PlayStep,
  see: SeeStep,
  words: WordsStep,
  plays: PlaysStep,
  men: MenStep,
  grade: GradeStep,
  opponent: OpponentStep,
};
onMounted(() => {
  if (!session.coach) void navigateTo('/walkthrough');
});
const step = computed(() => STEPS.find((s) => s.id === first.at)!);
const isLast = computed(() => step.value.id === STEPS.at(-1)!.id);
</script>

<template>
  <div class="place">
    <header class="page-head">
      <h1>First steps of {{ session.member?.programName }}</h1>
      <p class="soft">
        Leave out what you like: what ships works at once, and all of it can be changed later. At the end stands your
        first play against your next opponent’s front.
      </p>
    </header>
    <p v-if="first.problem" class="page-problem" role="alert">{{ first.problem }}</p>
    <div class="page-parts">
      <SideChoice
        :model-value="first.at"
        :items="STEPS"
        :done="first.done"
        label="Steps"
        @update:model-value="first.go($event as StepId)"
      />
      <section :aria-label="step.name">
        <h2 class="name">{{ step.name }}</h2>
        <component :is="BODIES[first.at]" />
        <p v-if="!isLast" class="on">
          <button class="strong" type="button" @click="first.take(step.id)">On to the next</button>
          <span class="soft"
            >Later: <NuxtLink :to="step.later.to">{{ step.later.name }}</NuxtLink></span
          >
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.page-parts {
  grid-template-columns: 190px minmax(0, 1fr);
}
section {
  display: grid;
  gap: 14px;
  min-width: 0;
}
.name {
  font-size: 18px;
  color: var(--ink);
}
.on {
  display: flex;
  gap: 18px;
  align-items: baseline;
}
</style>
