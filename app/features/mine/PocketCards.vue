<script setup lang="ts">
import { computed, ref } from 'vue';
import { cardOfPlay, likeliestLook } from '#core/paper/pocket-cards';
import CardRows from '~/features/board/CardRows.vue';
import { sayPlayOf } from '~/features/plan/say-play';
import { useQuiz } from '~/features/quiz/store';

/** What he carries in his pocket: play by play whom he has, and what he does when that one does something else. Worked out when it is opened. */
const quiz = useQuiz();
const opened = ref<number | null>(null);
const plays = computed(() => quiz.quiz?.plays ?? []);
const look = computed(() => (quiz.quiz ? likeliestLook(quiz.quiz) : null));
const card = computed(() =>
  quiz.quiz && opened.value !== null ? cardOfPlay(quiz.quiz, opened.value, quiz.seat, quiz.ways) : null,
);
</script>

<template>
  <section v-if="look && quiz.seat" aria-label="Pocket card">
    <h2>Pocket card</h2>
    <p class="soft">You as {{ quiz.seat }} against {{ look.frontName }}, their likeliest look.</p>
    <ul>
      <li v-for="(p, i) in plays" :key="i">
        <button class="plain" type="button" :aria-expanded="opened === i" @click="opened = opened === i ? null : i">
          {{ sayPlayOf(p) }}
        </button>
        <template v-if="opened === i">
          <p v-if="!card">Nobody there is yours in this one.</p>
          <template v-else>
            <p>
              You: <b>{{ card.has }}</b>
            </p>
            <CardRows :rows="card.rows" />
          </template>
        </template>
      </li>
    </ul>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 4px;
  min-width: 0;
}
li {
  border-bottom: 1px solid var(--rule);
  padding: 2px 0;
}
button {
  width: 100%;
  min-height: 44px;
  text-align: left;
  font-weight: 600;
}
</style>
