<script setup lang="ts">
import { inSentence } from '#core/vocabulary/in-sentence';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import { sameMoment, sinceSnap, type FixedMoment } from '#core/film/frames';
import { sayTechnique } from '#core/reports/technique-lines';
import type { Angle } from '#core/model/angle';
import { blockName } from '~/features/board/words';
import { schemeName } from '~/features/board/scheme-names';
import FilmPicture from '~/features/film/FilmPicture.vue';
import KeyList from '~/features/film/KeyList.vue';
import { useTransport, type Shown } from '~/features/film/transport';
import { useKeys } from '~/features/hands/use-keys';
import { whereIs } from '~/features/measure/where-is';
import { BESIDE_HANDS } from './keys';
import { clipFor, useBeside, type Rep } from './store';

const store = useBeside();
const route = useRoute();
const list = ref<InstanceType<typeof KeyList> | null>(null);
const man = computed(() => (typeof route.query.man === 'string' && route.query.man) || null);
onMounted(() => store.open(Number(route.query.one), Number(route.query.two)));

const angle = ref<Angle>('end zone');
const lockedAt = ref<FixedMoment>('contact');
const clips = computed(() =>
  store.reps.flatMap((rep) => {
    const clip = clipFor(rep, angle.value, man.value);
    return clip ? [{ rep, clip }] : [];
  }),
);
const videos = shallowRef<ReadonlyMap<number, HTMLVideoElement>>(new Map());
function hold(id: number, video: HTMLVideoElement | null): void {
  const next = new Map(videos.value);
  if (video) next.set(id, video);
  else next.delete(id);
  videos.value = next;
}
const shown = computed<Shown[]>(() =>
  clips.value.flatMap(({ clip }) => {
    const video = videos.value.get(clip.id);
    return video ? [{ clip, video }] : [];
  }),
);
const transport = useTransport(shown, lockedAt);
const { frame, playing, looping, speed, last } = transport;
watch([lockedAt, () => shown.value.length], () => transport.show(frame.value));
watch(
  () => shown.value.length,
  (count) => count === 2 && transport.jump(lockedAt.value),
);

const missing = ref<number[]>([]);
const near = ref<1 | 2 | 4>(1);
const stays = ref(true);
const frameOf = (clip: Shown['clip']): number =>
  clips.value[0] ? sameMoment(frame.value, clips.value[0].clip, clip, lockedAt.value) : 0;
/** Where the man is, while it is near and he was followed. */
function aim(rep: Rep, clip: (typeof clips.value)[number]['clip']) {
  const track = rep.tracks.find((t) => t.team === 'offence' && t.id === man.value);
  return track && stays.value ? whereIs(track, rep, { ...clip, angle: angle.value }, frameOf(clip)) : null;
}

const asked = ({ snap }: Rep) => snap.resolution.assignments.find((a) => a.blocker === man.value);
const grade = ({ snap }: Rep) => snap.grades.find((g) => g.blocker === man.value)?.grade ?? null;
const title = ({ snap }: Rep): string =>
  `Snap ${snap.number}, ${inSentence(schemeName(snap.call.scheme))} ${snap.call.side} against ${inSentence(snap.call.frontName)}`;
function askedWords(rep: Rep): string {
  const assignment = asked(rep);
  if (!assignment) return man.value ? `${man.value} does not block here` : '';
  const { target, next } = assignment;
  return `${blockName(assignment)}${target ? ` on ${target}` : ''}${next ? `, then ${next}` : ''}`;
}
const name = ({ snap }: Rep): string => {
  const on = snap.field.find((m) => m.seat === man.value);
  return on ? `${on.number} ${on.name}` : (man.value ?? '');
};
const clock = (clip: Shown['clip']): string => {
  const t = sinceSnap(frameOf(clip), clip.snapFrame, clip.framesPerSecond);
  return `${Math.abs(t).toFixed(2)} s ${t < 0 ? 'before' : 'after'} the snap`;
};
const contact = (clip: (typeof clips.value)[number]['clip']): string => {
  const t = sinceSnap(clip.contactFrame, clip.snapFrame, clip.framesPerSecond);
  return clip.own ? `he meets his man ${t.toFixed(2)} s after it` : `first contact ${t.toFixed(2)} s after it`;
};

const hands = {
  toggle: transport.toggle,
  step: (by: number) => transport.seek(frame.value + by),
  jump: transport.jump,
  slower: transport.slower,
  loop: () => (looping.value = !looping.value),
  swap: () => (angle.value = angle.value === 'end zone' ? 'sideline' : 'end zone'),
  lock: () => (lockedAt.value = lockedAt.value === 'contact' ? 'snap' : 'contact'),
  zoom: () => (near.value = near.value === 4 ? 1 : near.value === 2 ? 4 : 2),
  crop: () => (stays.value = !stays.value),
  back: () => navigateTo(`/film/${store.reps[0]?.snap.id ?? ''}`),
  help: () => void list.value?.open(),
};
useKeys((event) => BESIDE_HANDS.find((h) => h.key === event.key)?.does(hands, event.shiftKey) ?? false);
const capOf = (says: keyof typeof hands): string => BESIDE_HANDS.find((h) => h.hand === says)!.cap;
const SPEED_WORDS = { 1: 'full', 0.5: 'half', 0.25: 'quarter' } as const;
const NEAR_WORDS = { 1: 'nearer', 2: 'twice as near', 4: 'four times as near' } as const;
</script>

<template>
  <div class="place">
    <header>
      <h1>{{ man ? `${man}, two reps` : 'Two reps' }}</h1>
      <span class="soft">{{ lockedAt === 'contact' ? 'locked at first contact' : 'locked at the snap' }}</span>
      <NuxtLink v-if="store.reps.length" class="back" :to="`/film/${store.reps[0]!.snap.id}`"
        >Back to the film</NuxtLink
      >
    </header>
    <p v-if="store.problem" class="problem" role="alert">{{ store.problem }}</p>
    <p v-if="store.reps.length && clips.length < 2" class="problem" role="status">
      {{ clips.length ? 'One of them has' : 'They have' }} no film from the {{ angle }}.
    </p>
    <div class="reps">
      <section v-for="({ rep, clip }, i) in clips" :key="clip.id" :aria-label="title(rep)">
        <p class="title">
          <b>{{ title(rep) }}</b>
          <span v-if="man"> {{ name(rep) }}: {{ askedWords(rep) }}</span>
          <GradeMark v-if="grade(rep)" :grade="grade(rep)" :size="15" />
        </p>
        <FilmPicture
          :clip="clip"
          :leads="i === 0"
          :zoomed="near"
          :missing="missing.includes(clip.id)"
          :aim="near > 1 ? aim(rep, clip) : null"
          @hold="hold(clip.id, $event)"
          @loaded="transport.show(frame)"
          @lost="missing = [...missing, clip.id]"
        />
        <p class="soft">{{ clock(clip) }}; {{ contact(clip) }}</p>
        <p v-if="asked(rep)" class="soft told">{{ sayTechnique(asked(rep)!) }}</p>
      </section>
    </div>
    <div class="hands">
      <button class="plain" type="button" :aria-pressed="playing" @click="hands.toggle">
        <kbd>{{ capOf('toggle') }}</kbd> {{ playing ? 'stop' : 'play' }}
      </button>
      <button class="plain" type="button" @click="hands.slower">
        <kbd>{{ capOf('slower') }}</kbd> {{ SPEED_WORDS[speed] }} speed
      </button>
      <button class="plain" type="button" :aria-pressed="looping" @click="hands.loop">
        <kbd>{{ capOf('loop') }}</kbd> over and over
      </button>
      <button class="plain" type="button" @click="hands.swap">
        <kbd>{{ capOf('swap') }}</kbd> other angle
      </button>
      <button class="plain" type="button" :aria-pressed="lockedAt === 'contact'" @click="hands.lock">
        <kbd>{{ capOf('lock') }}</kbd> {{ lockedAt === 'contact' ? 'lock at the snap' : 'lock at first contact' }}
      </button>
      <button class="plain" type="button" @click="hands.zoom">
        <kbd>{{ capOf('zoom') }}</kbd> {{ NEAR_WORDS[near] }}
      </button>
      <button v-if="man" class="plain" type="button" :aria-pressed="stays" @click="hands.crop">
        <kbd>{{ capOf('crop') }}</kbd> stay on him
      </button>
      <input
        type="range"
        min="0"
        :max="last"
        :value="frame"
        aria-label="Frame"
        @input="transport.seek(Number(($event.target as HTMLInputElement).value))"
        @keydown.stop
      />
      <span class="soft"
        ><kbd>{{ capOf('help') }}</kbd> all keys</span
      >
    </div>
    <KeyList ref="list" :hands="BESIDE_HANDS" />
  </div>
</template>

<style scoped>
.place {
  height: 100%;
  display: flex;
  flex-direction: column;
  padding: 0 20px 12px;
}
header {
  display: flex;
  gap: 14px;
  align-items: baseline;
  padding: 12px 0 8px;
}
.back {
  margin-left: auto;
}
.problem {
  color: var(--risk);
  font-weight: 600;
}
.reps {
  flex: 1;
  min-height: 240px;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 12px;
}
section {
  display: flex;
  flex-direction: column;
  gap: 4px;
  min-height: 0;
}
.title {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: center;
  min-height: 42px;
}
section > figure {
  flex: 1;
}
.told {
  font-size: 12.5px;
  min-height: 36px;
}
.hands {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: center;
  padding-top: 10px;
  font-size: 12.5px;
}
.hands [aria-pressed='true'] {
  color: var(--violet);
  font-weight: 650;
}
.hands input {
  flex: 1;
  min-width: 140px;
  accent-color: var(--violet);
}
@media (max-width: 640px) {
  .reps {
    grid-template-columns: 1fr;
  }
}
</style>
