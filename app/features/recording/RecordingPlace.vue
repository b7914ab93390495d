<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { useEventListener } from '@vueuse/core';
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import { frameAt, seekTime } from '#core/film/frames';
import type { Cut } from '#core/film/recording/marks';
import { ANGLES, type Angle } from '#core/model/angle';
import KeyList from '~/features/film/KeyList.vue';
import { useKeys } from '~/features/hands/use-keys';
import { CUTTING_HANDS, type CuttingHands } from './keys';
import MotionTrack from './MotionTrack.vue';
import { useRecording } from './store';

const store = useRecording();
const route = useRoute();
onMounted(() => void store.open(Number(route.params.id)));
onBeforeUnmount(store.stop);

const video = ref<HTMLVideoElement | null>(null);
const otherVideo = ref<HTMLVideoElement | null>(null);
const list = ref<InstanceType<typeof KeyList> | null>(null);
const frame = ref(0);
const playing = ref(false);
const begun = ref<number | null>(null);
const SPEEDS = [1, 2, 4] as const;
const SPEED_WORDS = { 1: 'full speed', 2: 'double speed', 4: 'four times the speed' } as const;
const speed = ref<(typeof SPEEDS)[number]>(1);

function seek(to: number): void {
  video.value?.pause();
  frame.value = Math.max(0, Math.min(store.frames - 1, Math.round(to)));
  if (video.value) video.value.currentTime = seekTime(frame.value, store.rate);
}
function follow(): void {
  video.value?.requestVideoFrameCallback((_now, picture) => {
    if (!playing.value) return;
    frame.value = Math.min(store.frames - 1, frameAt(picture.mediaTime, store.rate));
    follow();
  });
}
useEventListener(video, 'play', () => {
  playing.value = true;
  follow();
});
useEventListener(video, 'pause', () => (playing.value = false));
function toggle(): void {
  if (!video.value) return;
  video.value.playbackRate = speed.value;
  if (playing.value) video.value.pause();
  else void video.value.play();
}

/** All cuts in order, taken and suggested; the one around the frame is in hand. */
const all = computed(() => [...store.cuts, ...store.suggested].sort((a, b) => a.from - b.from));
const inHand = computed(() => all.value.find((c) => c.from <= frame.value && frame.value <= c.to) ?? null);
const isTaken = (cut: Cut): boolean => store.cuts.includes(cut);

function goTo(cut: Cut | undefined): void {
  if (cut) seek(cut.snap ?? cut.from);
}
function next(by: number): void {
  const beyond = by > 0 ? all.value.find((c) => c.from > frame.value) : all.value.findLast((c) => c.to < frame.value);
  goTo(beyond);
}
function take(): void {
  const cut = inHand.value;
  if (cut && !isTaken(cut)) store.take(cut);
  next(1);
}
function drop(): void {
  const cut = inHand.value;
  if (!cut) return void (begun.value = null);
  if (isTaken(cut)) store.drop(cut);
  else store.dropSuggested(cut);
}
const snapMark = ref<number | null>(null);
function end(): void {
  if (begun.value === null || frame.value <= begun.value) return;
  const snap = snapMark.value !== null && snapMark.value >= begun.value && snapMark.value <= frame.value;
  store.take({ number: store.first, from: begun.value, snap: snap ? snapMark.value : null, to: frame.value });
  [begun.value, snapMark.value] = [null, null];
}
const hands: CuttingHands = {
  toggle,
  step: (by) => seek(frame.value + by),
  seconds: (by) => seek(frame.value + by * store.rate),
  faster: () => {
    speed.value = SPEEDS[(SPEEDS.indexOf(speed.value) + 1) % SPEEDS.length]!;
    if (video.value) video.value.playbackRate = speed.value;
  },
  begin: () => ([begun.value, snapMark.value] = [frame.value, null]),
  snap: () => {
    if (!store.snapAt(frame.value)) snapMark.value = frame.value;
  },
  end,
  take,
  drop,
  next,
  help: () => void list.value?.open(),
};
useKeys((event) => CUTTING_HANDS.find((h) => h.key === event.key)?.does(hands, event.shiftKey) ?? false);
const capOf = (hand: keyof CuttingHands): string => CUTTING_HANDS.find((h) => h.hand === hand)!.cap;

const clock = (at: number): string => {
  const seconds = at / store.rate;
  return `${Math.floor(seconds / 60)}:${(seconds % 60).toFixed(1).padStart(4, '0')}`;
};
const length = (c: Cut): string => `${((c.to - c.from + 1) / store.rate).toFixed(1)} s`;
const films = (n: number): string => (n === 1 ? '1 film' : `${n} films`);
const looked = computed(() => {
  if (!store.motion) return 'Is being looked at for snaps …';
  const n = store.suggested.length;
  return n ? `${howMany(n, 'snap')} suggested` : '';
});
const otherAngle = computed(() => ANGLES.find((a) => a !== store.angle)!);
function pairHere(): void {
  if (otherVideo.value) store.pairAt(frame.value / store.rate, otherVideo.value.currentTime);
}
const paired = computed(() => {
  if (store.shift === null) return '';
  const later = store.shift >= 0 ? 'later' : 'earlier';
  return `It shows the same ${Math.abs(store.shift).toFixed(2)} s ${later}; ${store.otherCuts.length} of ${store.cuts.length} are on it.`;
});
</script>

<template>
  <div class="place">
    <header>
      <h1>Cut into snaps</h1>
      <b v-if="store.film">{{ store.film.name }}</b>
      <span class="soft">{{ looked }}</span>
      <NuxtLink class="back" to="/film/in">Film in</NuxtLink>
    </header>
    <p v-if="store.problem" class="problem" role="alert">{{ store.problem }}</p>
    <p v-if="store.film && !store.film.facts" class="problem" role="status">
      This film is not ready yet. It can be cut once it was looked into.
    </p>
    <div v-if="store.film?.facts" class="work">
      <section class="film" aria-label="Recording">
        <div class="pictures" :class="{ two: store.other !== null }">
          <video
            ref="video"
            :src="`/api/films/${store.film.id}/play`"
            muted
            playsinline
            preload="auto"
            aria-label="The recording"
          />
          <video
            v-if="store.other !== null"
            ref="otherVideo"
            :src="`/api/films/${store.other}/play`"
            muted
            playsinline
            controls
            preload="auto"
            aria-label="The other recording"
          />
        </div>
        <MotionTrack
          :motion="store.motion"
          :frames="store.frames"
          :rate="store.rate"
          :frame="frame"
          :begun="begun"
          :cuts="store.cuts"
          :suggested="store.suggested"
          :in-hand="inHand"
          @seek="seek"
        />
        <p class="hands">
          <button class="plain" type="button" :aria-pressed="playing" @click="toggle">
            <kbd>{{ capOf('toggle') }}</kbd> {{ playing ? 'stop' : 'play' }}
          </button>
          <button class="plain" type="button" @click="hands.faster">
            <kbd>{{ capOf('faster') }}</kbd> {{ SPEED_WORDS[speed] }}
          </button>
          <button class="plain" type="button" @click="hands.begin">
            <kbd>{{ capOf('begin') }}</kbd> begins here
          </button>
          <button class="plain" type="button" @click="hands.snap">
            <kbd>{{ capOf('snap') }}</kbd> snapped here
          </button>
          <button class="plain" type="button" :disabled="begun === null" @click="end">
            <kbd>{{ capOf('end') }}</kbd> is over here
          </button>
          <button class="plain" type="button" @click="take">
            <kbd>{{ capOf('take') }}</kbd> take it, next
          </button>
          <button class="plain" type="button" @click="drop">
            <kbd>{{ capOf('drop') }}</kbd> drop it
          </button>
          <span class="soft clock">{{ clock(frame) }}, frame {{ frame }}</span>
          <span class="soft"
            ><kbd>{{ capOf('help') }}</kbd> all keys</span
          >
        </p>
      </section>
      <aside aria-label="Cuts">
        <p>
          <label
            >from the
            <select v-model="store.angle" aria-label="Angle">
              <option v-for="a in ANGLES" :key="a" :value="a as Angle">{{ a }}</option>
            </select></label
          >
          <label
            >first is snap
            <input
              v-typed
              type="number"
              min="1"
              max="400"
              :value="store.first"
              aria-label="Number of the first snap"
              @change="store.startAt(Math.max(1, Number(($event.target as HTMLInputElement).value)))"
          /></label>
        </p>
        <p v-if="store.others.length">
          <label
            >the {{ otherAngle }} is
            <select v-model="store.other" aria-label="The other recording" @change="store.shift = null">
              <option :value="null">not cut with it</option>
              <option v-for="f in store.others" :key="f.id" :value="f.id">{{ f.name }}</option>
            </select></label
          >
          <button v-if="store.other !== null" class="plain link" type="button" @click="pairHere">
            both show the same moment now
          </button>
          <span class="soft">{{ paired }}</span>
        </p>
        <p class="acts">
          <button v-if="store.cuts.length" class="strong" type="button" @click="store.make">
            Make {{ films(store.cuts.length + store.otherCuts.length) }}
          </button>
          <button v-if="store.suggested.length" class="plain link" type="button" @click="store.takeAll">
            Take all {{ store.suggested.length }}
          </button>
        </p>
        <p v-if="store.made" role="status">
          {{ films(store.made) }} on the way. <NuxtLink to="/film/in">See them come in, and log them</NuxtLink>
        </p>
        <ol>
          <li v-for="c in all" :key="`${c.from}`" :class="{ taken: isTaken(c), hand: c === inHand }">
            <button class="plain" type="button" @click="goTo(c)">
              <b>{{ isTaken(c) ? c.number : '·' }}</b> {{ clock(c.from) }}, {{ length(c) }}
              <span class="soft">{{ c.snap === null ? 'no snap seen' : `snap ${clock(c.snap)}` }}</span>
            </button>
          </li>
        </ol>
        <p v-if="store.motion && !all.length" class="soft">
          Nothing in it looks like a snap. Mark where each begins and where it is over.
        </p>
      </aside>
    </div>
    <KeyList ref="list" :hands="CUTTING_HANDS" />
  </div>
</template>

<style scoped>
.place {
  height: 100%;
  display: flex;
  flex-direction: column;
  padding: 0 0 0 20px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 14px;
  align-items: baseline;
  padding: 12px 20px 8px 0;
}
.back {
  margin-left: auto;
}
.problem {
  color: var(--broken);
  font-weight: 600;
}
.work {
  flex: 1;
  min-height: 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 272px;
  gap: 16px;
}
.film {
  display: flex;
  flex-direction: column;
  gap: 6px;
  min-height: 0;
  padding-bottom: 10px;
}
.pictures {
  flex: 1;
  min-height: 180px;
  display: grid;
  gap: 8px;
}
.pictures.two {
  grid-template-columns: minmax(0, 1.6fr) minmax(0, 1fr);
}
video {
  width: 100%;
  height: 100%;
  min-height: 0;
  object-fit: contain;
  background: #0d130e;
}
.hands {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  font-size: 12.5px;
}
.hands [aria-pressed='true'] {
  color: var(--violet);
  font-weight: 650;
}
.hands :disabled {
  opacity: 0.65;
}
.clock {
  margin-left: auto;
}
aside {
  border-left: 1px solid var(--rule);
  padding: 4px 16px;
  overflow: auto;
  font-size: 13px;
}
aside p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  padding: 4px 0;
  align-items: center;
}
aside input {
  width: 52px;
}
li {
  padding: 3px 6px;
  color: var(--soft);
}
.taken {
  color: var(--ink);
}
.hand {
  background: var(--wash);
  box-shadow: inset 3px 0 var(--violet);
}
</style>
