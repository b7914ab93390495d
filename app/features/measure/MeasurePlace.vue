<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue';
import { askedPlaces } from '#core/film/follow/asked';
import { frontAsMeasured } from '#core/film/measure/front';
import type { MovementReading } from '#core/film/measure/movement';
import { groundAt } from '#core/film/calibrate/camera';
import { ballOf } from '#core/film/measure/places';
import { identify } from '#core/identify/identify';
import { sayMovement } from '#core/language/lineups/read-movement';
import type { Pixel } from '#core/model/calibration';
import type { Angle, Call } from '#core/model/snap';
import FilmPair from '~/features/film/FilmPair.vue';
import KeyList from '~/features/film/KeyList.vue';
import { releaseFocus } from '~/features/hands/in-field';
import { schemeName } from '~/features/board/scheme-names';
import { usePlaybook } from '~/features/playbook/store';
import FeetPanel from './FeetPanel.vue';
import { useFollowing } from './following';
import { MEASURE_HANDS, useMeasureKeys } from './keys';
import { useMarking } from './marking';
import MarksPanel from './MarksPanel.vue';
import MeasureOverlay from './MeasureOverlay.vue';
import { menOf, whoseFeet, type Named } from './men';
import { feetOnPicture, waysOnPicture } from './overlay';
import { STEP_NAMES, STEPS, type Step } from './steps';
import { useMeasure } from './store';
import WaysPanel from './WaysPanel.vue';

const store = useMeasure();
const playbook = usePlaybook();
const route = useRoute();
const pair = ref<InstanceType<typeof FilmPair> | null>(null);
const list = ref<InstanceType<typeof KeyList> | null>(null);
const step = ref<Step>('marks');

const open = async (): Promise<void> => {
  if (!(await store.open(Number(route.params.id)))) return;
  const kept = Object.keys(store.calibrations).length > 0;
  step.value = store.measuring.followed ? 'ways' : kept ? 'feet' : 'marks';
};
onMounted(() => {
  releaseFocus();
  void open();
});
watch(
  () => route.params.id,
  (id) => id && Number(id) !== store.snap?.id && void open(),
);

const lead = computed(() => pair.value?.lead ?? null);
const frame = computed(() => pair.value?.transport.frame.value ?? 0);
const seconds = computed(() => (lead.value ? (frame.value - lead.value.snapFrame) / lead.value.framesPerSecond : 0));
const size = computed(() => {
  const video = pair.value?.shown.find((s) => s.clip === lead.value)?.video;
  // Asked for again with every frame: the film knows its size only once it is there.
  return { width: (void frame.value, video?.videoWidth) || 960, height: video?.videoHeight || 540 };
});
const kept = computed(() => (lead.value && store.calibrations[lead.value.id]) || null);
const marking = useMarking(size, frame);
const wantsBall = ref(false);
watch(
  () => [lead.value?.id, kept.value] as const,
  () => marking.begin(kept.value),
  { immediate: true },
);

const men = computed(() => (store.call ? menOf(store.call, playbook.settings) : []));
const chosen = ref<Named | null>(null);
const notClicked = (man: Named): boolean =>
  !store.measuring.atSnap.some((f) => f.id === man.id && f.team === man.team && f.angle === lead.value?.angle);
const next = computed(() => chosen.value ?? men.value.find(notClicked) ?? null);
const read = computed(() =>
  store.call && store.places.some((p) => p.team === 'defence')
    ? frontAsMeasured(store.places, store.call.formation, store.call.front, playbook.settings)
    : null,
);
const family = computed(() => {
  if (!store.call || !read.value?.front.defenders.length) return 'not known yet';
  const { name, subNames } = identify(store.call.formation, read.value.front, { settings: playbook.settings }).family;
  return [name, ...subNames].join(', ');
});

const following = useFollowing(computed(() => pair.value?.shown ?? []));
const inHand = ref<Pick<Named, 'id' | 'team'> | null>(null);
const asked = computed(() => (store.call ? askedPlaces(store.call, { x: 0, y: 0 }, 0) : null));

/** What is drawn over one picture. */
function over(clip: { id: number; angle: string }) {
  const leads = clip.id === lead.value?.id;
  const calibration = step.value === 'marks' && leads ? marking.found.value : (store.calibrations[clip.id] ?? null);
  const nothing = { marks: [], expected: [], ball: null, men: [], ways: [] };
  const common = { calibration, lines: step.value === 'marks', cursor: leads ? cursor.value : null };
  if (step.value === 'marks')
    return leads
      ? {
          ...nothing,
          ...common,
          marks: marking.marks.value,
          expected: marking.expected.value,
          ball: marking.ball.value,
        }
      : { ...nothing, ...common };
  if (step.value === 'feet') {
    const there = feetOnPicture(
      men.value,
      store.measuring.atSnap,
      store.places,
      clip.angle,
      calibration,
      leads ? next.value : null,
    );
    return { ...nothing, ...common, men: there };
  }
  const play = store.measuring.followed;
  if (!play || !calibration) return { ...nothing, ...common };
  const drawn = waysOnPicture(store.tracks, play, asked.value, calibration, seconds.value, inHand.value);
  return { ...nothing, ...common, ...drawn };
}

function point(pixel: Pixel): void {
  if (step.value === 'marks') return pointMark(pixel);
  if (step.value === 'feet') return pointFeet(pixel);
  pointWay(pixel);
}
function pointMark(pixel: Pixel): void {
  if (wantsBall.value) {
    marking.ball.value = pixel;
    wantsBall.value = false;
  } else marking.click(pixel);
}
function pointFeet(pixel: Pixel): void {
  const own = kept.value && !chosen.value ? whoseFeet(pixel, men.value, kept.value, store.places) : null;
  const man = own ?? next.value;
  if (!man || !lead.value) return;
  void store.setFeet(man.id, man.team, lead.value.angle as Angle, pixel);
  chosen.value = null;
}
function pointWay(pixel: Pixel): void {
  const ball = ballOf(store.cameras);
  const there = kept.value && groundAt(kept.value.camera, pixel, kept.value);
  if (!inHand.value || !there || !ball || !store.measuring.followed) return;
  void store.bend({ ...inHand.value, seconds: seconds.value, x: there.x - ball.x, y: there.y - ball.y });
}

async function keepCamera(): Promise<void> {
  if (!marking.input.value || !lead.value) return;
  const done = await store.calibrate(lead.value.id, marking.input.value);
  if (!done) return;
  const other = store.snap!.clips.find((c) => !store.calibrations[c.id]);
  if (other) pair.value?.swap();
  else go('feet');
}
function go(to: Step): void {
  step.value = to;
  if (to !== 'ways' && lead.value) pair.value?.transport.seek(Math.max(0, lead.value.snapFrame - 1));
}

const pending = ref<{ call: Call; affected: string[] } | null>(null);
async function keepCall(change: Partial<Call>): Promise<void> {
  const call = { ...store.snap!.call, ...change };
  const affected = await store.changeCall(call, false);
  pending.value = affected.length > 0 ? { call, affected } : null;
}
async function confirm(): Promise<void> {
  const { call } = pending.value!;
  pending.value = null;
  await store.changeCall(call, true);
}
const keepFront = (): Promise<void> => keepCall({ front: read.value!.text, frontName: family.value });
function keepMovement({ movements }: MovementReading): Promise<void> {
  const still = store
    .snap!.call.front.split(/\s*;\s*/)
    .filter((c) => !store.call!.front.movements.some((m) => sayMovement(m) === c));
  return keepCall({ front: [...still, ...movements.map(sayMovement)].join('; ') });
}

const cursor = ref<Pixel | null>(null);
function takeAway(): void {
  if (step.value === 'marks') {
    const last = marking.marks.value.at(-1);
    if (last) marking.remove(last);
  } else if (step.value === 'feet') {
    const last = store.measuring.atSnap.filter((f) => f.angle === lead.value?.angle).at(-1);
    if (last) void store.setFeet(last.id, last.team, last.angle, null);
  } else if (inHand.value) void store.unbend(inHand.value.id, inHand.value.team);
}
function manBy(by: number): void {
  const of = step.value === 'ways' ? inHand.value : next.value;
  const at = men.value.findIndex((m) => m.id === of?.id && m.team === of.team);
  const to = men.value[(at + by + men.value.length) % men.value.length] ?? null;
  if (step.value === 'ways') inHand.value = to;
  else chosen.value = to;
}
useMeasureKeys({
  toggle: () => pair.value?.transport.toggle(),
  step: (frames) => pair.value?.transport.seek(frame.value + frames),
  jump: (to) => pair.value?.transport.jump(to),
  swap: () => pair.value?.swap(),
  arrange: () => pair.value?.arrange(),
  zoom: () => pair.value?.zoom(),
  slower: () => pair.value?.transport.slower(),
  loop: () => pair.value && (pair.value.transport.looping.value = !pair.value.transport.looping.value),
  to: go,
  move: (x, y) => {
    const { width, height } = size.value;
    const from = cursor.value ?? { x: width / 2, y: height / 2 };
    cursor.value = { x: Math.max(0, Math.min(width, from.x + x)), y: Math.max(0, Math.min(height, from.y + y)) };
  },
  place: () => cursor.value && point(cursor.value),
  takeAway,
  man: manBy,
  help: () => void list.value?.open(),
  back: () => void navigateTo(`/film/${route.params.id}`),
});
</script>

<template>
  <div class="place">
    <header v-if="store.snap">
      <h1>
        Measure snap {{ store.snap.number }}: {{ schemeName(store.snap.call.scheme).toLowerCase() }}
        {{ store.snap.call.side }} against
        {{ store.snap.call.frontName.toLowerCase() }}
      </h1>
      <NuxtLink :to="`/film/${store.snap.id}`"><kbd>m</kbd> back to the grades</NuxtLink>
    </header>
    <p v-if="store.problem" class="problem" role="alert">{{ store.problem }}</p>
    <p v-if="pending" class="problem" role="alert">
      {{ pending.affected.join(', ') }} {{ pending.affected.length === 1 ? 'was' : 'were' }} graded against what was
      logged.
      <button class="plain link" type="button" @click="confirm">Change it, the marks stay</button>
      <button class="plain link" type="button" @click="pending = null">Leave it</button>
    </p>
    <div v-if="store.snap" class="work">
      <section class="area" aria-label="Film">
        <FilmPair
          ref="pair"
          :clips="store.snap.clips"
          read-only
          pointing
          stacked
          :caps="{ back: ',', on: '.' }"
          @point="(_clip, pixel) => point(pixel)"
        >
          <template #over="{ clip, leads, width, height, unit }">
            <MeasureOverlay :width="width" :height="height" :unit="unit" :leads="leads" v-bind="over(clip)" />
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
          :marking="marking"
          :kept="kept"
          :wants-ball="wantsBall"
          @keep="keepCamera"
          @ball="wantsBall = true"
        />
        <FeetPanel
          v-else-if="step === 'feet' && store.call"
          :call="store.call"
          :men="men"
          :next="next"
          :read="read"
          :family="family"
          @choose="chosen = $event"
          @keep="keepFront"
        />
        <WaysPanel
          v-else-if="step === 'ways'"
          :running="following.running.value"
          :progress="following.progress.value"
          :problem="following.problem.value"
          :missing="following.missing.value"
          :readings="following.readings.value"
          :in-hand="inHand"
          @follow="following.start"
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
