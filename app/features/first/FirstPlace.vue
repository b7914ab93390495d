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
    <div class="parts">
      <nav aria-label="Steps">
        <button
          v-for="(s, i) in STEPS"
          :key="s.id"
          class="plain"
          type="button"
          :aria-current="s.id === first.at ? 'step' : undefined"
          @click="first.go(s.id)"
        >
          <span class="tick" aria-hidden="true">{{ first.done.includes(s.id) ? '✓' : i + 1 }}</span> {{ s.name }}
          <span class="visually-hidden">{{ first.done.includes(s.id) ? 'taken' : '' }}</span>
        </button>
      </nav>
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
.parts {
  padding: 14px 20px 40px;
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 20px 32px;
  align-items: start;
}
nav {
  display: grid;
  gap: 2px;
}
nav button {
  padding: 6px 8px;
  border-left: 3px solid transparent;
  color: var(--soft);
}
nav button[aria-current] {
  border-color: var(--violet);
  background: var(--wash);
  color: var(--ink);
  font-weight: 650;
}
.tick {
  display: inline-block;
  width: 18px;
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
@media (max-width: 800px) {
  .parts {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
