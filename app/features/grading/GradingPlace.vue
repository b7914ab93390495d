<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { inSentence } from '#core/vocabulary/in-sentence';
import { computed, onMounted, ref } from 'vue';
import { sayHabit } from '#core/grade/free/habits';
import { BLOCKS, type BlockId } from '#core/vocabulary/index';
import { schemeName } from '~/features/board/scheme-names';
import { sayWhen } from '~/features/pad/words';
import { useSession } from '~/features/session/store';
import InAndOut from './InAndOut.vue';
import OwnFaults from './OwnFaults.vue';
import RubricChoice from './RubricChoice.vue';
import { useGrading, type AskedRule, type GradedGame } from './store';

/** How this program grades, which games its players see, and what is still to be settled. */
const grading = useGrading();
const session = useSession();
const coach = computed(() => session.member?.role === 'coach');
onMounted(() => void grading.load());

const answers = ref<Record<number, string>>({});
const percent = computed({
  get: () => Math.round(100 * grading.passLine),
  set: (value: number) =>
    void grading.changeSeason(
      { passLine: Math.min(100, Math.max(0, value)) / 100 },
      `The pass line is ${value} % now.`,
    ),
});
const open = (game: GradedGame): number => game.said.filter((s) => s.question && !s.answer).length;
const walk = (q: AskedRule): string =>
  `/walkthrough?${new URLSearchParams({ play: q.scheme, side: q.side, front: q.front, formation: q.formation }).toString()}`;
</script>

<template>
  <div class="place">
    <header class="page-head">
      <h1>How we grade</h1>
      <p class="soft">
        Grades are records about people. Players see their own once a game is published, and nobody else’s; every change
        is kept with who and when. <NuxtLink to="/book">The Book</NuxtLink>
      </p>
    </header>
    <p v-if="grading.problem" class="page-problem" role="alert">{{ grading.problem }}</p>
    <p v-if="grading.notice" class="page-notice" role="status">{{ grading.notice }}</p>
    <div v-if="grading.season" class="parts">
      <section aria-label="Rubric">
        <h2>Rubric of {{ grading.season.name }}</h2>
        <fieldset :disabled="!coach">
          <legend class="visually-hidden">Rubric</legend>
          <RubricChoice />
          <label class="pass"
            >A game is passed from
            <input v-model.lazy.number="percent" class="field" type="number" min="0" max="100" /> %</label
          >
        </fieldset>
        <OwnFaults :disabled="!coach" />
        <InAndOut />
      </section>

      <section aria-label="Games">
        <h2>Games</h2>
        <article v-for="g in grading.games" :key="g.id" class="game">
          <p>
            <NuxtLink :to="`/book?by=man&game=${g.id}`"
              ><b>Week {{ g.week }}, {{ g.opponent }}</b></NuxtLink
            >{{ ' ' }}
            <span class="soft">{{ howMany(g.snaps, 'snap') }}, {{ howMany(g.marks, 'mark') }}</span>
          </p>
          <p class="ways">
            <label
              ><input
                type="checkbox"
                :checked="g.published"
                :disabled="!coach"
                @change="grading.publish(g.id, !g.published)"
              />
              players see their grades</label
            >
            <label
              ><input
                type="checkbox"
                :checked="g.ownGrades"
                :disabled="!coach || g.published"
                @change="grading.allowOwn(g.id, !g.ownGrades)"
              />
              they grade themselves first</label
            >
            <NuxtLink :to="`/book/sheets?game=${g.id}`">sheets on paper</NuxtLink>
          </p>
          <p v-for="s in g.sheets" :key="s.userId">
            <NuxtLink :to="`/book/agreement?game=${g.id}&user=${s.userId}`">{{ s.name }} beside the grades</NuxtLink
            >{{ ' ' }}
            <span class="soft">{{ howMany(s.marks, 'mark') }} of his own</span>
          </p>
          <details v-if="g.said.length" :open="open(g) > 0">
            <summary>
              {{ howMany(g.said.length, 'word') }} from players<template v-if="open(g)"
                >, {{ open(g) }} to answer</template
              >
            </summary>
            <div v-for="s in g.said" :key="s.id" class="said">
              <p>
                <b>{{ s.player }}</b>
                <NuxtLink v-if="s.snapId" :to="`/film/${s.snapId}`"> snap {{ s.number }}</NuxtLink>
                {{ s.question || 'has seen his grades' }} <span class="soft">{{ sayWhen(s.at) }}</span>
              </p>
              <p v-if="s.answer" class="soft">Answered: {{ s.answer }}</p>
              <form v-else-if="s.question" @submit.prevent="grading.answer(s.id, answers[s.id] ?? '')">
                <input
                  v-model="answers[s.id]"
                  class="field"
                  maxlength="500"
                  required
                  :aria-label="`Answer to ${s.player}`"
                />
                <button class="plain link" type="submit">answer</button>
              </form>
            </div>
          </details>
        </article>
      </section>

      <section aria-label="Rules">
        <h2>Rules against habit</h2>
        <p v-if="!grading.habits.length" class="soft">
          Nobody does something else than his sheet again and again, as far as it was written down whom men really hit.
        </p>
        <p v-for="h in grading.habits" :key="`${h.scheme} ${h.front} ${h.blocker}`" class="habit">
          {{
            sayHabit(
              h,
              `${inSentence(schemeName(h.scheme))} ${h.side}`,
              (BLOCKS[h.block as BlockId]?.name ?? h.block).toLowerCase(),
            )
          }}
          <NuxtLink :to="`/rules/${h.scheme}`">the rules</NuxtLink>
          <NuxtLink :to="`/film/${h.snaps[0]}`">the film</NuxtLink>
        </p>
        <h2>Asked about rules</h2>
        <p v-if="!grading.questions.length" class="soft">
          Nothing is asked. On a snap, under “What happened”, a man who came free can be asked about with his front.
        </p>
        <p v-for="(q, i) in grading.questions" :key="i" class="habit">
          <b>{{ schemeName(q.scheme) }} {{ q.side }} against {{ inSentence(q.frontName) }}, {{ q.about }}:</b>
          {{ q.text }}
          <NuxtLink :to="`/film/${q.snapId}`">week {{ q.week }}, snap {{ q.number }}</NuxtLink>
          <NuxtLink :to="walk(q)">on the board</NuxtLink>
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.parts {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 340px), 1fr));
  gap: 20px 40px;
  padding: 14px 20px 40px;
}
section {
  display: grid;
  gap: 8px;
  align-content: start;
  min-width: 0;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 8px;
  min-width: 0;
}
.rubric {
  display: grid;
  grid-template-columns: auto 1fr;
  gap: 8px;
  align-items: start;
}
.pass input {
  width: 60px;
}
.game {
  border-top: 1px solid var(--rule);
  padding-top: 8px;
  display: grid;
  gap: 4px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  font-size: 13px;
}
.said,
.habit {
  font-size: 13px;
  padding: 4px 0;
  border-bottom: 1px solid var(--rule);
}
.habit a {
  margin-left: 8px;
}
.said form {
  display: flex;
  gap: 10px;
}
.said input {
  flex: 1;
  max-width: none;
}
</style>
