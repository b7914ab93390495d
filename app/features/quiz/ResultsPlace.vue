<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { computed } from 'vue';
import type { QuizPart, QuizResult } from '#core/model/quiz';
import { unclear } from '#core/quiz/rank';
import { rateOf } from '#core/statistics/rate';
import { usePlan } from '~/features/plan/store';
import { sayPlayOf } from '~/features/plan/say-play';
import WeekHead from '~/features/week/WeekHead.vue';
import { useWeek } from '~/features/week/store';
import { useWeekRooms } from '~/features/week/rooms';
import { useQuizResults } from './results';

/** What the quiz brought: whether it is open, what is not known yet, and which rules nobody understands. */
const { to } = useWeekRooms();
const week = useWeek();
const plan = usePlan();
const { results, problem } = useQuizResults();
const asked = computed(() => results.value.reduce((sum, r) => sum + r.of, 0));
const right = computed(() => results.value.reduce((sum, r) => sum + r.right, 0));
const says = computed(() =>
  asked.value === 0
    ? 'Nobody has answered yet.'
    : `${asked.value} answers, ${right.value} right in everything. The least known first.`,
);
const onFilm = computed(() => {
  const of = results.value.reduce((sum, r) => sum + r.film.of, 0);
  const same = results.value.reduce((sum, r) => sum + r.film.same, 0);
  return of === 0 ? '' : `On film they marked ${of} of their own blocks, ${same} as their coach had.`;
});
const doubts = computed(() => unclear(results.value));
const PARTS: Record<QuizPart, string> = {
  whom: 'whom',
  with: 'with whom',
  then: 'then whom',
  foot: 'first foot',
  shoulder: 'shoulder',
  call: 'call',
  why: 'sentence',
};
const missed = (r: QuizResult): string =>
  (Object.entries(r.missed) as [QuizPart, number][])
    .sort((a, b) => b[1] - a[1])
    .map(([part, n]) => `${PARTS[part]} ${n}`)
    .join(', ');
/** By play: the gate before it goes into the game. */
const gates = computed(() => {
  const plays = new Map<string, { of: number; right: number }>();
  for (const r of results.value) {
    const key = sayPlayOf(r.item);
    const sum = plays.get(key) ?? { of: 0, right: 0 };
    plays.set(key, { of: sum.of + r.of, right: sum.right + r.right });
  }
  return [...plays]
    .map(([play, { of, right: good }]) => ({ play, rate: rateOf(good, of, 0) }))
    .sort((a, b) => (a.rate.share ?? 1) - (b.rate.share ?? 1));
});
</script>

<template>
  <div class="place">
    <WeekHead title="Quiz" :says="says" />
    <p v-if="problem" class="page-problem" role="alert">{{ problem }}</p>
    <div v-if="week.game" class="page-parts">
      <section aria-label="Answers">
        <p class="open">
          <label>
            <input
              type="checkbox"
              :checked="plan.plan.quiz"
              :disabled="!plan.isReady"
              @change="plan.openQuiz(($event.target as HTMLInputElement).checked)"
            />
            Players are quizzed on this plan
          </label>
          <NuxtLink to="/quiz">Try it yourself</NuxtLink>
        </p>
        <p v-if="!plan.isReady" class="soft">
          It is made from the plan. <NuxtLink :to="to('/week/plan')">Choose plays and looks</NuxtLink>
        </p>
        <p v-if="onFilm" class="soft">{{ onFilm }}</p>
        <section v-if="doubts.length" class="doubts" aria-label="Unclear rules">
          <h2>Not the men: the rule</h2>
          <p v-for="r in doubts" :key="sayPlayOf(r.item) + r.item.frontName + r.item.seat">
            {{ r.item.seat }} on {{ sayPlayOf(r.item) }} against {{ r.item.frontName }}: {{ r.of - r.right }} of
            {{ r.of }} wrong by {{ howMany(r.men, 'man', 'men') }}.
            <NuxtLink :to="`/rules/${r.item.scheme}`">Look at the rule</NuxtLink>
          </p>
        </section>
        <table v-if="results.length" class="page-table" aria-label="Answers">
          <thead>
            <tr>
              <th scope="col">Place</th>
              <th scope="col">Play</th>
              <th scope="col">Against</th>
              <th scope="col">Right</th>
              <th scope="col">Missed</th>
            </tr>
          </thead>
          <tbody>
            <tr
              v-for="r in results.slice(0, 40)"
              :key="sayPlayOf(r.item) + r.item.frontName + r.item.seat + r.item.formationName"
            >
              <td>
                <b>{{ r.item.seat }}</b>
              </td>
              <td>{{ sayPlayOf(r.item) }}</td>
              <td>{{ r.item.frontName }}</td>
              <td>{{ r.right }} of {{ r.of }}</td>
              <td class="soft">{{ missed(r) }}</td>
            </tr>
          </tbody>
        </table>
      </section>
      <section v-if="gates.length" aria-label="Gates">
        <h2>Ready for the game?</h2>
        <p class="soft">What is not known is better cut than called: that is advice, and yours to take.</p>
        <ul>
          <li v-for="g in gates" :key="g.play">
            {{ g.play }}
            <b>{{ g.rate.tooFew ? 'too few answers' : `${Math.round(100 * g.rate.share!)} %` }}</b>
            <span class="soft">{{ g.rate.good }} of {{ g.rate.of }}</span>
          </li>
        </ul>
      </section>
    </div>
  </div>
</template>

<style scoped>
.page-parts {
  grid-template-columns: minmax(0, 1fr) 340px;
}
.open {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 20px;
  padding-bottom: 10px;
}
.open label {
  font-weight: 600;
}
input {
  accent-color: var(--violet);
}
.doubts {
  border-left: 3px solid var(--broken);
  padding: 2px 0 6px 12px;
  margin-bottom: 12px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 10px;
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
}
</style>
