<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue';
import type { Said } from '#core/model/huddle';
import { sayPlayOf } from '~/features/plan/say-play';
import QuizBoard from '~/features/quiz/QuizBoard.vue';
import { useQuiz } from '~/features/quiz/store';
import { useLine } from './line';
import { useHuddle } from './store';

/** A phone in the huddle: take a place, say the word, tap whom and with whom; then wait for the others. */
const huddle = useHuddle();
const quiz = useQuiz();
const { isUp } = useLine(huddle.news);
const ownEyes = ref(false);
const seat = computed(() => huddle.huddle?.seat ?? '');
const [word, whom, pair, since] = [ref<string | null>(null), ref(''), ref<string[]>([]), ref(0)];
onMounted(() => void huddle.read());

const asked = computed(() => (seat.value ? huddle.askedOf(seat.value) : null));
const isOpen = computed(() => huddle.huddle?.stage === 'open');
/** What he has sent for this question. */
const mine = computed(() => huddle.huddle?.mine ?? null);
const isChanging = ref(false);
const isSaying = computed(() => isOpen.value && (mine.value === null || isChanging.value));
const part = computed(() => {
  if (!isSaying.value || !asked.value) return null;
  if (asked.value.words.length > 0 && word.value === null) return 'call';
  return whom.value === '' ? 'whom' : 'with';
});
const ASKS = { call: 'What do you say?', whom: 'Whom do you block?', with: 'With whom?' };
const chosen = computed(() =>
  isSaying.value
    ? [...(whom.value ? [whom.value] : []), ...pair.value]
    : mine.value
      ? [mine.value.whom, ...mine.value.with]
      : [],
);
const right = computed(() =>
  isOpen.value || !asked.value ? [] : [asked.value.expected.whom, ...asked.value.expected.with],
);
const isAllRight = computed(() => huddle.stand?.right.includes(seat.value) ?? false);

function begin(): void {
  [word.value, whom.value, pair.value, isChanging.value, since.value] = [null, '', [], false, Date.now()];
}
watch(() => huddle.huddle?.number, begin, { immediate: true });
/** Who has one place only takes it once, in every huddle anew; is he not let in, he taps it himself. */
watch(
  () => huddle.huddle?.seat === null,
  (isWithout) => {
    const seats = huddle.huddle?.seats ?? [];
    if (isWithout && seats.length === 1) sit(seats[0]!);
  },
  { immediate: true },
);
function sit(which: string): void {
  begin();
  void huddle.sit(which);
}
function tap(id: string): void {
  if (part.value === 'whom') whom.value = id;
  else pair.value = pair.value.includes(id) ? pair.value.filter((p) => p !== id) : [...pair.value, id].slice(0, 3);
}
async function say(): Promise<void> {
  const said: Said = { seat: seat.value, call: word.value, whom: whom.value, with: [...pair.value] };
  if (await huddle.say(said)) isChanging.value = false;
}
function change(): void {
  begin();
  isChanging.value = true;
}
/** Once it is shown, what he said counts for what he is asked again. */
watch(
  () => huddle.huddle?.stage,
  (now, before) => {
    if (before !== 'open' || now !== 'shown' || !mine.value || !quiz.isPlayer || !huddle.huddle) return;
    const answer = huddle.asAnswer(mine.value, Math.min(120, (Date.now() - since.value) / 1000));
    if (answer) void quiz.take(huddle.huddle.game.id, answer);
  },
);
const sayMine = (s: Said): string =>
  [s.call ? `“${s.call}”,` : '', s.whom, s.with.length ? `with ${s.with.join(' and ')}` : 'alone'].join(' ').trim();
</script>

<template>
  <div class="phone">
    <header>
      <h1>Whole line</h1>
      <p v-if="huddle.huddle" class="soft">Week {{ huddle.huddle.game.week }}, {{ huddle.huddle.game.opponent }}</p>
      <p v-if="!isUp && huddle.isKnown" class="soft" role="status">No line just now: it is tried again.</p>
    </header>
    <p v-if="huddle.problem" class="problem" role="alert">{{ huddle.problem }}</p>
    <p v-if="huddle.isKnown && !huddle.huddle">
      The line is not together just now. Stay here: it begins by itself when your coach calls you together.
      <NuxtLink to="/quiz">To the quiz</NuxtLink>
    </p>
    <template v-if="huddle.huddle">
      <nav v-if="seat === '' || huddle.huddle.seats.length > 1" aria-label="Your place">
        <span class="soft">{{ seat === '' ? 'Where do you play?' : 'You are' }}</span>
        <button
          v-for="s in huddle.huddle.seats"
          :key="s"
          class="plain"
          type="button"
          :aria-current="s === seat"
          @click="sit(s)"
        >
          {{ s }}
        </button>
      </nav>
      <template v-if="seat && huddle.worked">
        <p class="play">
          <b>{{ sayPlayOf(huddle.huddle.call) }}</b>
        </p>
        <p class="under">
          <span class="soft">You are {{ seat }}</span>
          <button class="plain link" type="button" :aria-pressed="ownEyes" @click="ownEyes = !ownEyes">
            {{ ownEyes ? 'from above' : 'from your stance' }}
          </button>
        </p>
        <p v-if="huddle.huddle.says">Now {{ huddle.huddle.says }}.</p>
        <QuizBoard
          :worked="huddle.worked"
          :seat="seat"
          :asks="part === 'whom' ? 'theirs' : part === 'with' ? 'ours' : 'nobody'"
          :chosen="chosen"
          :right="right"
          :own-eyes="ownEyes"
          @tap="tap"
        />
        <p v-if="!asked" class="asks">You have nobody to block here. Watch the others.</p>
        <p v-else-if="part" class="asks" aria-live="polite">{{ ASKS[part] }}</p>
        <div class="hands">
          <template v-if="part === 'call'">
            <button v-for="w in asked!.words" :key="w" type="button" class="big" @click="word = w">{{ w }}</button>
          </template>
          <button v-else-if="part === 'with'" type="button" class="strong" @click="say">
            {{ pair.length ? `with ${pair.join(' and ')}` : 'alone' }}
          </button>
        </div>
        <section v-if="mine && !isSaying" class="answer" aria-live="polite">
          <p>You said {{ sayMine(mine) }}.</p>
          <button v-if="isOpen" class="plain link" type="button" @click="change">Say it again</button>
          <template v-else-if="asked">
            <p class="verdict" :class="{ wrong: !isAllRight }">{{ isAllRight ? 'Right.' : 'Not yet.' }}</p>
            <p class="because">{{ asked.expected.because }}</p>
          </template>
        </section>
        <p v-if="!huddle.huddle.silent && huddle.says" class="room" role="status">{{ huddle.says }}</p>
        <p v-else-if="isOpen" class="soft">Nobody speaks: you see the others when it is shown.</p>
      </template>
    </template>
  </div>
</template>

<style scoped src="~/features/quiz/phone.css"></style>
<style scoped>
.under {
  display: flex;
  justify-content: space-between;
}
.room {
  font-weight: 600;
}
</style>
