<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { useEventListener } from '@vueuse/core';
import type { QuizPart } from '#core/model/quiz';
import { howMany } from '#core/vocabulary/how-many';
import { SIDES } from '#core/model/side';
import { shouldersWith } from '#core/reports/shoulder';
import { sayPlayOf } from '~/features/plan/say-play';
import FilmQuiz from './FilmQuiz.vue';
import QuizBoard from './QuizBoard.vue';
import QuizPicture from './QuizPicture.vue';
import { useQuiz } from './store';

/** The play is named; he taps whom he has, with whom, then whom, and says his first foot and his call. Then they move, and he says it again. */
const quiz = useQuiz();
const waiting = computed(() => {
  const n = quiz.waiting.length;
  return `${howMany(n, 'answer')} ${n === 1 ? 'waits' : 'wait'} here to be sent.`;
});
const ownEyes = ref(false);
const onFilm = ref(false);
/** With whom is tapped man by man and said with one more tap. */
const pair = ref<string[]>([]);
onMounted(() => void quiz.open());
useEventListener('online', () => void quiz.sendAgain());

const ARROWS = { left: '◀', right: '▶' };
const ASKS: Record<QuizPart, string> = {
  whom: 'Whom do you block?',
  with: 'With whom?',
  then: 'Then whom?',
  foot: 'Which foot first?',
  shoulder: 'Which shoulder do you strike with?',
  call: 'What do you say?',
  why: 'By which of your sentences?',
};
/** How he did it on film so far, where it was marked. */
const record = computed(() => {
  const { good, of } = quiz.question ? quiz.onFilm(quiz.question.asked.item) : { good: 0, of: 0 };
  return of > 0 ? `, on film the right man ${good} of ${of} times` : '';
});
const NAMES: Record<QuizPart, string> = {
  ...{ whom: 'Whom', with: 'With', then: 'Then', foot: 'First foot' },
  ...{ shoulder: 'Shoulder', call: 'Call', why: 'Sentence' },
};
const asks = computed(() => {
  if (quiz.after) return quiz.after.said === null ? 'theirs' : 'nobody';
  if (quiz.part === 'whom' || quiz.part === 'then') return 'theirs';
  return quiz.part === 'with' ? 'ours' : 'nobody';
});
const sentence = computed(() => {
  if (quiz.after) return quiz.after.said === null ? `Now ${quiz.after.says}. Whom do you block?` : '';
  return quiz.part ? ASKS[quiz.part] : '';
});
const chosen = computed(() => {
  if (quiz.after) return quiz.after.said ? [quiz.after.said] : [];
  const { whom, then } = quiz.said;
  return [...(whom ? [whom] : []), ...(then ? [then] : []), ...(quiz.said.with ?? pair.value)];
});
const right = computed(() => {
  if (quiz.after) return quiz.after.said === null ? [] : [quiz.after.whom];
  const e = quiz.verdict ? quiz.question?.expected : null;
  return e ? [e.whom, ...(e.then ? [e.then] : []), ...e.with] : [];
});
const isOver = computed(() => quiz.verdict !== null && (quiz.after === null || quiz.after.said !== null));
const isAllRight = computed(
  () =>
    Object.values(quiz.verdict ?? {}).every(Boolean) && (quiz.after === null || quiz.after.said === quiz.after.whom),
);
const shown = computed(() => {
  const e = quiz.question!.expected;
  const said: Record<QuizPart, string> = {
    ...{ whom: e.whom, with: e.with.join(', ') || 'alone', then: e.then ?? 'stay on him' },
    ...{ foot: e.foot, shoulder: `${e.shoulder}, head ${e.head}`, call: e.call ?? '', why: e.because },
  };
  return (Object.entries(quiz.verdict ?? {}) as [QuizPart, boolean][]).map(([part, good]) => ({
    ...{ part, good, name: NAMES[part], is: said[part] },
  }));
});

function tap(id: string): void {
  if (quiz.after) void quiz.sayAgain(id);
  else if (quiz.part === 'whom') void quiz.say({ whom: id });
  else if (quiz.part === 'then') void quiz.say({ then: id });
  else pair.value = pair.value.includes(id) ? pair.value.filter((p) => p !== id) : [...pair.value, id];
}
function sayPair(): void {
  void quiz.say({ with: pair.value });
  pair.value = [];
}
function next(): void {
  pair.value = [];
  quiz.next();
}
</script>

<template>
  <div class="phone">
    <header>
      <h1>Quiz</h1>
      <p v-if="quiz.quiz?.game" class="soft">Week {{ quiz.quiz.game.week }}, {{ quiz.quiz.game.opponent }}</p>
      <NuxtLink to="/huddle">Whole line</NuxtLink>
      <button v-if="quiz.isPlayer" class="plain link" type="button" :aria-pressed="onFilm" @click="onFilm = !onFilm">
        {{ onFilm ? 'on the board' : 'on film' }}
      </button>
      <p class="soft count" role="status">{{ quiz.today.right }} of {{ quiz.today.of }} today</p>
    </header>
    <p v-if="quiz.problem" class="problem" role="alert">
      {{ quiz.problem }} <button class="plain link" type="button" @click="quiz.sendAgain()">Try again</button>
    </p>
    <p v-if="quiz.waiting.length" class="soft">{{ waiting }}</p>
    <p v-if="quiz.quiz && !onFilm && !quiz.quiz.game">
      There is no quiz yet. It comes with the week’s plan, once your coach opens it.
    </p>
    <p v-else-if="quiz.quiz && !onFilm && quiz.seats.length === 0">Your coach has not said where you play yet.</p>
    <FilmQuiz v-if="quiz.quiz && onFilm" />
    <template v-else-if="quiz.quiz?.game && quiz.seats.length">
      <nav aria-label="Place">
        <button
          v-for="s in quiz.seats.length > 1 ? quiz.seats : []"
          :key="s"
          class="plain"
          type="button"
          :aria-current="s === quiz.seat"
          @click="quiz.chooseSeat(s)"
        >
          {{ s }}
        </button>
        <button
          class="plain link pictures"
          type="button"
          :aria-pressed="quiz.inPictures"
          @click="quiz.inPictures = !quiz.inPictures"
        >
          {{ quiz.inPictures ? 'in words' : 'in pictures' }}
        </button>
        <button class="plain link eyes" type="button" :aria-pressed="ownEyes" @click="ownEyes = !ownEyes">
          {{ ownEyes ? 'from above' : 'from your stance' }}
        </button>
      </nav>
      <p v-if="!quiz.question">This week asks nothing of {{ quiz.seat }}.</p>
      <template v-else>
        <p class="play">
          <b>{{ sayPlayOf(quiz.question.asked.item) }}</b>
          <span class="soft"> you are {{ quiz.question.asked.item.seat }}{{ record }}</span>
        </p>
        <QuizBoard
          v-if="quiz.board"
          :worked="quiz.board"
          :seat="quiz.question.asked.item.seat"
          :asks="asks"
          :chosen="chosen"
          :right="right"
          :own-eyes="ownEyes"
          @tap="tap"
        />
        <template v-if="quiz.inPictures">
          <QuizPicture v-if="quiz.part" :part="quiz.part" :says="sentence" />
          <QuizPicture v-else-if="sentence" part="whom" :says="sentence" />
        </template>
        <p v-else-if="sentence" class="asks" aria-live="polite">{{ sentence }}</p>
        <div class="hands">
          <template v-if="quiz.part === 'with'">
            <button type="button" class="strong" @click="sayPair">
              {{ pair.length ? `with ${pair.join(' and ')}` : 'alone' }}
            </button>
          </template>
          <button
            v-else-if="quiz.part === 'then'"
            type="button"
            class="big"
            aria-label="nobody: stay on him"
            @click="quiz.say({ then: null })"
          >
            {{ quiz.inPictures ? '■' : 'nobody: stay on him' }}
          </button>
          <template v-else-if="quiz.part === 'foot'">
            <button
              v-for="side in SIDES"
              :key="side"
              type="button"
              class="big"
              :aria-label="side"
              @click="quiz.say({ foot: side })"
            >
              {{ quiz.inPictures ? ARROWS[side] : side }}
            </button>
          </template>
          <template v-else-if="quiz.part === 'shoulder'">
            <button
              v-for="s in shouldersWith(quiz.question.expected.shoulder)"
              :key="s"
              type="button"
              class="big"
              @click="quiz.say({ shoulder: s })"
            >
              {{ s }}
            </button>
          </template>
          <template v-else-if="quiz.part === 'why'">
            <button
              v-for="s in quiz.sentences"
              :key="s"
              type="button"
              class="big sentence"
              @click="quiz.say({ why: s })"
            >
              {{ s }}
            </button>
          </template>
          <template v-else-if="quiz.part === 'call'">
            <button v-for="c in quiz.choices" :key="c" type="button" class="big" @click="quiz.say({ call: c })">
              {{ c }}
            </button>
          </template>
        </div>
        <section v-if="quiz.verdict" class="answer" aria-live="polite">
          <p v-if="isOver" class="verdict" :class="{ wrong: !isAllRight }">
            <span v-if="quiz.inPictures" class="sign" aria-hidden="true">{{ isAllRight ? '✓' : '✗' }}</span>
            <span :class="{ 'visually-hidden': quiz.inPictures }">{{ isAllRight ? 'Right.' : 'Not yet.' }}</span>
          </p>
          <ul v-if="!quiz.inPictures">
            <li v-for="s in shown" :key="s.part" :class="{ wrong: !s.good }">
              <span class="soft">{{ s.name }}</span> <b>{{ s.is }}</b> <span v-if="!s.good">not what you said</span>
            </li>
            <li v-if="quiz.after?.said" :class="{ wrong: quiz.after.said !== quiz.after.whom }">
              <span class="soft">When {{ quiz.after.says }}</span> <b>{{ quiz.after.whom }}</b>
            </li>
          </ul>
          <p v-if="!quiz.inPictures && quiz.verdict.why === undefined" class="because">
            {{ quiz.question.expected.because }}
          </p>
          <button v-if="isOver" class="strong next" type="button" @click="next">Next</button>
        </section>
      </template>
    </template>
  </div>
</template>

<style scoped src="./phone.css"></style>
<style scoped>
.sentence {
  min-height: 52px;
  padding: 8px 12px;
  text-align: left;
  line-height: 1.25;
}
.count {
  margin-left: auto;
}
.pictures {
  margin-left: auto;
}
.sign {
  font-size: 56px;
  line-height: 1;
}
</style>
