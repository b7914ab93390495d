<script setup lang="ts">
import { inSentence } from '#core/vocabulary/in-sentence';
import { useEventListener, useIntervalFn } from '@vueuse/core';
import { computed, nextTick, onMounted, ref, watch } from 'vue';
import { sinceSnap } from '#core/film/frames';
import type { Pixel } from '#core/model/calibration';
import FilmPair from '~/features/film/FilmPair.vue';
import KeyList from '~/features/film/KeyList.vue';
import { pairHands } from '~/features/film/pair-hands';
import { releaseFocus } from '~/features/hands/in-field';
import { schemeName } from '~/features/board/scheme-names';
import { useFeetStep } from './feet-step';
import FeetPanel from './FeetPanel.vue';
import { useElsewhere } from './elsewhere';
import { pictureOf, picturesOf } from './grab';
import { useFollowing } from './following';
import { useKeepCall } from './keep-call';
import { MEASURE_HANDS, useMeasureKeys } from './keys';
import { useMarksStep } from './marks-step';
import MarksPanel from './MarksPanel.vue';
import MeasureOverlay from './MeasureOverlay.vue';
import type { Named } from './men';
import { NOTHING_DRAWN } from './overlay';
import { STEP_NAMES, STEPS, type OnFilm, type OnStep, type Step } from './steps';
import { useMeasure } from './store';
import { useWaysStep } from './ways-step';
import WaysPanel from './WaysPanel.vue';

const store = useMeasure();
const route = useRoute();
const pair = ref<InstanceType<typeof FilmPair> | null>(null);
const list = ref<InstanceType<typeof KeyList> | null>(null);
const step = ref<Step>('marks');

async function open(): Promise<void> {
  if (!(await store.open(Number(route.params.id)))) return;
  void store.sendAgain();
  const kept = Object.keys(store.calibrations).length > 0;
  step.value = store.measuring.followed ? 'ways' : kept ? 'feet' : 'marks';
}
onMounted(() => {
  releaseFocus();
  void open();
});
/** What waits for a connection goes as soon as there is one. */
const TRY_AGAIN_MS = 10_000;
useEventListener('online', () => void store.sendAgain());
useIntervalFn(() => store.waits && void store.sendAgain(), TRY_AGAIN_MS);
watch(
  () => route.params.id,
  (id) => id && Number(id) !== store.snap?.id && void open(),
);

const lead = computed(() => pair.value?.lead ?? null);
const frame = computed(() => pair.value?.transport.frame.value ?? 0);
/** The film knows its size only once it is there: asked for again with every frame, told on when it is another. */
const sizeOfLead = (side: 'videoWidth' | 'videoHeight', usual: number) =>
  computed(() => (void frame.value, pair.value?.shown.find((s) => s.clip === lead.value)?.video[side]) || usual);
const [wide, high] = [sizeOfLead('videoWidth', 960), sizeOfLead('videoHeight', 540)];
const kept = computed(() => (lead.value && store.calibrations[lead.value.id]) || null);
const elsewhere = useElsewhere(
  lead,
  kept,
  computed(() => step.value === 'feet'),
  (clip, frames) => picturesOf(`/api/clips/${clip.id}`, clip, frames),
);
const film: OnFilm = {
  lead,
  frame,
  seconds: computed(() => (lead.value ? (frame.value - lead.value.snapFrame) / lead.value.framesPerSecond : 0)),
  size: computed(() => ({ width: wide.value, height: high.value })),
  picture: () => {
    const video = pair.value?.shown.find((s) => s.clip === lead.value)?.video;
    return video ? pictureOf(video) : null;
  },
  others: () => elsewhere.value,
  kept,
};
/** When the ball is thrown, seconds from the snap; `null` where nobody marked it. */
const thrown = computed(() => {
  const clip = lead.value;
  return clip?.throwFrame === undefined ? null : sinceSnap(clip.throwFrame, clip.snapFrame, clip.framesPerSecond);
});
/** Marks and feet are clicked on the frame before the snap: that is where the film opens. */
watch(
  () => pair.value?.shown.length,
  async (count) => {
    await nextTick();
    if (count && count === store.snap?.clips.length) go(step.value);
  },
);
const marks = useMarksStep(film);
const feet = useFeetStep(film);
const ways = useWaysStep(film, feet.men);
const onStep = computed<OnStep>(() => ({ marks, feet, ways })[step.value]);
const { inHand, replays } = ways;
const following = useFollowing(computed(() => pair.value?.shown ?? []));
const { pending, confirm, keepFront, keepMovement } = useKeepCall();

/** On to the other camera while it is not known, else to the feet. */
async function keepCamera(): Promise<void> {
  if (!(await marks.keep())) return;
  if (store.snap!.clips.some((c) => !store.calibrations[c.id])) pair.value?.swap();
  else go('feet');
}
function go(to: Step): void {
  step.value = to;
  if (to !== 'ways' && lead.value) pair.value?.transport.seek(Math.max(0, lead.value.snapFrame - 1));
}

/** The film is stopped where it is: following runs it itself, and brings it back there. */
async function follow(): Promise<void> {
  pair.value?.transport.seek(frame.value);
  await following.start();
}

/** The cross that the keys move. */
const cursor = ref<Pixel | null>(null);
function move(x: number, y: number): void {
  const { width, height } = film.size.value;
  const from = cursor.value ?? { x: width / 2, y: height / 2 };
  cursor.value = { x: Math.max(0, Math.min(width, from.x + x)), y: Math.max(0, Math.min(height, from.y + y)) };
}
useMeasureKeys({
  ...pairHands(pair),
  to: go,
  move,
  place: () => cursor.value && onStep.value.point(cursor.value),
  takeAway: () => onStep.value.takeAway(),
  ball: () => void (marks.wantsBall.value = step.value === 'marks'),
  man: (by) => onStep.value.man(by),
  assist: () => void (feet.assists.value = !feet.assists.value),
  bothFeet: () => step.value === 'feet' && feet.stances.toggle(),
  help: () => void list.value?.open(),
  back: () => void navigateTo(`/film/${route.params.id}`),
});

/** What waits to be said yes to. */
const pendingWords = computed(() => {
  const men = pending.value?.affected ?? [];
  return `${men.join(', ')} ${men.length === 1 ? 'was' : 'were'} graded against what was logged.`;
});
const title = computed(() => {
  const { number, call } = store.snap!;
  return `Measure snap ${number}: ${inSentence(schemeName(call.scheme))} ${call.side} against ${inSentence(call.frontName)}`;
});
</script>

<template>
  <div class="place">
    <header v-if="store.snap">
      <h1>{{ title }}</h1>
      <NuxtLink :to="`/film/${store.snap.id}`"><kbd>m</kbd> back to the film</NuxtLink>
    </header>
    <p v-if="store.problem" class="problem" role="alert">{{ store.problem }}</p>
    <p v-if="store.notice" class="problem notice" role="status">{{ store.notice }}</p>
    <p v-if="pending" class="problem" role="alert">
      {{ pendingWords }}
      <button class="plain link" type="button" @click="confirm">Change it, the marks stay</button>
      <button class="plain link" type="button" @click="pending = null">Leave it</button>
    </p>
    <div v-if="store.snap" class="work">
      <section class="area" aria-label="Film">
        <FilmPair
          ref="pair"
          :clips="store.snap.clips"
          :pass="store.snap.resolution.passing !== null"
          read-only
          pointing
          stacked
          :caps="{ back: ',', on: '.' }"
          @point="(_clip, pixel) => onStep.point(pixel)"
        >
          <template #over="{ clip, leads, width, height, unit }">
            <MeasureOverlay
              :width="width"
              :height="height"
              :unit="unit"
              :leads="leads"
              :cursor="leads ? cursor : null"
              v-bind="following.running.value ? NOTHING_DRAWN : onStep.drawn(clip, leads)"
            />
          </template>
        </FilmPair>
      </section>
      <aside>
        <nav aria-label="Steps">
          <button
            v-for="(s, i) in STEPS"
            :key="s"
            class="plain"
            type="button"
            :aria-current="s === step ? 'step' : undefined"
            @click="go(s)"
          >
            <kbd>{{ i + 1 }}</kbd> {{ STEP_NAMES[s] }}
          </button>
        </nav>
        <p v-if="store.snap.clips.length === 0" class="says">This snap has no film: there is nothing to measure.</p>
        <MarksPanel
          v-else-if="step === 'marks' && lead"
          :key="lead.id"
          :angle="lead.angle"
          :marking="marks.marking"
          :kept="film.kept.value"
          :wants-ball="marks.wantsBall.value"
          :offered="marks.offered.value"
          @keep="keepCamera"
          @ball="marks.wantsBall.value = true"
          @take-offered="marks.takeOffered"
        />
        <FeetPanel
          v-else-if="step === 'feet' && store.call"
          :call="store.call"
          :men="feet.men.value"
          :next="feet.next.value"
          :read="feet.read.value"
          :family="feet.family.value"
          :assists="feet.assists.value"
          :by-difference="elsewhere.length > 0"
          :stances="feet.stances"
          @choose="feet.chosen.value = $event"
          @assist="feet.assists.value = $event"
          @keep="keepFront(feet.read.value!, feet.family.value)"
        />
        <WaysPanel
          v-else-if="step === 'ways'"
          v-model:again="replays.chosen.value"
          :running="following.running.value"
          :progress="following.progress.value"
          :problem="following.problem.value"
          :missing="following.missing.value"
          :readings="following.readings.value"
          :in-hand="inHand"
          :replays="replays.lines.value"
          :seconds="film.seconds.value"
          :thrown="thrown"
          @follow="follow"
          @stop="following.stop"
          @choose="(id, team) => (inHand = { id, team: team as Named['team'] })"
          @keep="keepMovement"
        />
      </aside>
    </div>
    <KeyList ref="list" :hands="MEASURE_HANDS" />
  </div>
</template>

<style scoped>
.place {
  display: flex;
  flex-direction: column;
  height: 100%;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 20px;
  padding: 10px 20px 6px;
}
h1 {
  font-size: 17px;
  margin: 0;
}
.problem {
  padding: 7px 20px;
  color: var(--broken);
  font-weight: 600;
}
.notice {
  color: var(--risk);
}
.work {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 320px;
}
.area {
  padding: 4px 14px 8px 20px;
  min-width: 0;
  min-height: 0;
  display: flex;
  flex-direction: column;
}
aside {
  overflow: auto;
  padding: 4px 20px 16px 12px;
  border-left: 1px solid var(--rule);
  font-size: 13.5px;
}
nav {
  display: grid;
  gap: 2px;
  margin-bottom: 12px;
}
nav button {
  text-align: left;
  padding: 4px 6px;
}
nav [aria-current] {
  background: var(--wash);
  font-weight: 650;
}
.says {
  font-weight: 600;
}
@media (max-width: 800px) {
  .work {
    grid-template-columns: 1fr;
  }
}
</style>
