<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref } from 'vue';
import KeyList from '~/features/film/KeyList.vue';
import { useKeys } from '~/features/hands/use-keys';
import CutList from './CutList.vue';
import { useCutting } from './cutting';
import { CUTTING_HANDS, type CuttingHands } from './keys';
import MotionTrack from './MotionTrack.vue';
import { useRunning } from './running';
import { useRecording } from './store';
import { clockOf, sayLooked, SPEED_WORDS } from './words';

const store = useRecording();
const route = useRoute();
onMounted(() => void store.open(Number(route.params.id)));
onBeforeUnmount(store.stop);

const video = ref<HTMLVideoElement | null>(null);
const otherVideo = ref<HTMLVideoElement | null>(null);
const list = ref<InstanceType<typeof KeyList> | null>(null);
const { frame, playing, speed, seek, toggle, faster } = useRunning(video);
const { begun, all, inHand, goTo, next, begin, snap, end, take, drop } = useCutting(frame, seek);
const hands: CuttingHands = {
  toggle,
  faster,
  begin,
  snap,
  end,
  take,
  drop,
  next,
  step: (by) => seek(frame.value + by),
  seconds: (by) => seek(frame.value + by * store.rate),
  help: () => void list.value?.open(),
};
useKeys((event) => CUTTING_HANDS.find((h) => h.key === event.key)?.does(hands, event.shiftKey) ?? false);
const capOf = (hand: keyof CuttingHands): string => CUTTING_HANDS.find((h) => h.hand === hand)!.cap;

const looked = computed(() => sayLooked(store.motion && store.suggested.length));
function pairHere(): void {
  if (otherVideo.value) store.pairAt(frame.value / store.rate, otherVideo.value.currentTime);
}
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
          <button class="plain" type="button" @click="faster">
            <kbd>{{ capOf('faster') }}</kbd> {{ SPEED_WORDS[speed] }}
          </button>
          <button class="plain" type="button" @click="begin">
            <kbd>{{ capOf('begin') }}</kbd> begins here
          </button>
          <button class="plain" type="button" @click="snap">
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
          <span class="soft clock">{{ clockOf(frame, store.rate) }}, frame {{ frame }}</span>
          <span class="soft"
            ><kbd>{{ capOf('help') }}</kbd> all keys</span
          >
        </p>
      </section>
      <CutList :all="all" :in-hand="inHand" @go="goTo" @pair="pairHere" />
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
</style>
