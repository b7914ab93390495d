<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { BookPageSchema, rateIn, type BookPage, type BookSnap } from '#core/grade/book/lines';
import { sayBeside } from '#core/grade/say-grade';
import { BLOCKS, type BlockId } from '#core/vocabulary/index';
import { schemeName } from '~/features/board/scheme-names';
import { queryOf, readSnaps, reelOf } from '~/features/book/store';
import TrendChart from '~/features/book/TrendChart.vue';
import { useGrading, type Said } from '~/features/grading/store';
import { useQuiz } from '~/features/quiz/store';
import { attempting } from '~/features/session/attempt';
import PocketCards from './PocketCards.vue';
import { request } from '~/features/session/request';
import { useSession } from '~/features/session/store';

interface OwnGame {
  id: number;
  opponent: string;
  week: number;
  published: boolean;
  snaps: { id: number; number: number; seat: string; marked: boolean }[];
}

/** A player's own page, made for a phone: what to do, how it went from game to game, his snaps with what was seen. Nobody else's. */
const session = useSession();
const grading = useGrading();
const quiz = useQuiz();
onMounted(() => void quiz.open());
const problem = ref('');
const attempt = attempting(problem);
const games = shallowRef<OwnGame[]>([]);
const said = shallowRef<(Said & { gameId: number })[]>([]);
const trend = shallowRef<BookPage | null>(null);
const snaps = shallowRef<BookSnap[]>([]);
const total = ref(0);
const asking = ref<number | null>(null);
const question = ref('');

onMounted(() =>
  attempt(async () => {
    const [mine, page, behind] = await Promise.all([
      request<{ games: OwnGame[]; said: (Said & { gameId: number })[] }>('/api/mine'),
      request('/api/book?by=game'),
      readSnaps({}, 'both', 0, 30),
      grading.loadSeason(),
    ]);
    games.value = mine.games;
    said.value = mine.said;
    trend.value = BookPageSchema.parse(page);
    snaps.value = behind.snaps;
    total.value = behind.total;
  }),
);

const lines = computed(() => [...(trend.value?.lines ?? [])].sort((a, b) => a.label.localeCompare(b.label, 'en')));
const rate = computed(() => (trend.value ? rateIn(trend.value.total, 'both') : null));
const published = computed(() => games.value.filter((g) => g.published));
const toGrade = computed(() => games.value.filter((g) => !g.published && g.snaps.length));
const left = (g: OwnGame): OwnGame['snaps'] => g.snaps.filter((s) => !s.marked);
const seen = (g: OwnGame): boolean => said.value.some((s) => s.gameId === g.id && !s.question);
const reel = (from: BookSnap): string =>
  reelOf({ title: '', of: 'marks', measure: 'both', filter: {}, snaps: snaps.value, total: 0 }, from);

const say = (game: number, snapId: number | null, text: string): Promise<boolean> =>
  attempt(async () => {
    const answer = await request<Said>(`/api/games/${game}/said`, { method: 'POST', body: { snapId, question: text } });
    said.value = [{ ...answer, gameId: game }, ...said.value];
  });
async function ask(s: BookSnap): Promise<void> {
  if (question.value.trim() && (await say(s.gameId, s.snapId, question.value.trim()))) {
    asking.value = null;
    question.value = '';
  }
}
const askedAbout = (snapId: number) => said.value.filter((s) => s.snapId === snapId && s.question);
const bookOf = (game: number): string => `/book?${queryOf({ game: [String(game)] }, { by: 'block' })}`;
</script>

<template>
  <div class="place">
    <header class="page-head">
      <h1>{{ session.member?.userName }}</h1>
      <p v-if="rate && rate.share !== null" class="soft">
        Right man and technique: <b>{{ Math.round(100 * rate.share) }} %</b> of {{ rate.of }}. Nobody but you and your
        coaches sees this.
      </p>
    </header>
    <p v-if="problem" class="page-problem" role="alert">{{ problem }}</p>
    <div class="parts">
      <section v-if="quiz.quiz?.game && quiz.items.length" aria-label="Quiz">
        <h2>This week’s quiz</h2>
        <p>
          <b>Week {{ quiz.quiz.game.week }}, {{ quiz.quiz.game.opponent }}</b
          >{{ ' ' }}
          <NuxtLink to="/quiz">{{ howMany(quiz.items.length, 'thing') }} to know as {{ quiz.seat }}</NuxtLink>
          {{ ' ' }}<span class="soft">{{ quiz.today.of }} answered today</span>
        </p>
      </section>
      <section v-if="toGrade.length" aria-label="To grade yourself">
        <h2>Grade yourself first</h2>
        <p v-for="g in toGrade" :key="g.id">
          <b>Week {{ g.week }}, {{ g.opponent }}</b>
          <NuxtLink v-if="left(g)[0]" :to="`/film/${left(g)[0]!.id}`">
            {{ left(g).length }} of {{ howMany(g.snaps.length, 'snap') }} left</NuxtLink
          >
          <span v-else class="soft"> all {{ g.snaps.length }} done</span>
        </p>
      </section>
      <section v-if="published.length" aria-label="Games">
        <h2>Games</h2>
        <p v-for="g in published" :key="g.id" class="game">
          <NuxtLink :to="bookOf(g.id)">Week {{ g.week }}, {{ g.opponent }}</NuxtLink>
          <span v-if="seen(g)" class="soft">seen</span>
          <button v-else class="plain link" type="button" @click="say(g.id, null, '')">I have seen it</button>
          <NuxtLink :to="`/book/sheets?game=${g.id}`">sheet</NuxtLink>
        </p>
      </section>
      <PocketCards />
      <TrendChart :lines="lines" :pass-line="grading.passLine" />
      <section aria-label="Snaps">
        <h2>Your snaps, what to work on first</h2>
        <p v-if="!snaps.length && !problem" class="soft">No grades of yours have been published yet.</p>
        <ul>
          <li v-for="s in snaps" :key="`${s.snapId} ${s.blocker}`">
            <NuxtLink :to="reel(s)"
              ><GradeMark :grade="s.grade" /> <b>Week {{ s.week }}, snap {{ s.number }}</b>
              <span class="line"
                >{{ BLOCKS[s.asked.block as BlockId]?.name ?? s.asked.block }}, {{ schemeName(s.scheme) }}
                {{ s.side }}</span
              >
              <span v-if="sayBeside(s.grade)" class="line">{{ sayBeside(s.grade) }}</span>
            </NuxtLink>
            <p v-for="q in askedAbout(s.snapId)" :key="q.id" class="soft">
              You asked: {{ q.question }}<template v-if="q.answer"> Answer: {{ q.answer }}</template>
            </p>
            <form v-if="asking === s.snapId" @submit.prevent="ask(s)">
              <input v-model="question" class="field" maxlength="500" required aria-label="Your question" />
              <button class="plain link" type="submit">ask</button>
              <button class="plain link" type="button" @click="asking = null">leave it</button>
            </form>
            <button v-else class="plain link" type="button" @click="asking = s.snapId">ask about it</button>
          </li>
        </ul>
        <p v-if="total > snaps.length" class="soft">
          {{ total - snaps.length }} more in <NuxtLink to="/book">your Book</NuxtLink>.
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.parts {
  padding: 12px 16px 40px;
  display: grid;
  gap: 20px;
  max-width: 720px;
}
section {
  display: grid;
  gap: 4px;
  min-width: 0;
}
.game {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
li {
  padding: 9px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 14px;
}
li > a {
  color: var(--ink);
  text-decoration: none;
  display: block;
  min-height: 44px;
}
.line {
  display: block;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
}
input {
  flex: 1;
  min-width: 180px;
  max-width: none;
  padding: 4px 8px;
}
</style>
