<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core';
import { computed, ref, shallowRef, watch, watchEffect } from 'vue';
import { frameOfMoment, MOMENTS, sameMoment, sinceSnap, type Moment } from '#core/film/frames';
import type { Pixel } from '#core/model/calibration';
import type { ClipBody } from '#core/model/snap';
import FilmPicture from './FilmPicture.vue';
import type { HandName } from './hand';
import { capOf } from './keys';
import { useTransport, type Shown } from './transport';

type Clip = ClipBody & { id: number; angle: string };
const props = defineProps<{
  clips: readonly Clip[];
  readOnly: boolean;
  /** Clicks on the picture that leads are points of it. */
  pointing?: boolean;
  /** What the picture that leads stays on while it is near: shares of it, by clip and frame. */
  aimAt?: (clip: Clip, frame: number) => Pixel | null;
  /** A pass was called. */
  pass?: boolean;
  /** Nothing but the play itself is shown, from a moment before the snap to the whistle. */
  playOnly?: boolean;
  /** The other angle stands under the one that leads. */
  stacked?: boolean;
  /** What is printed on the keys, where they are others than when grading. */
  caps?: Partial<Record<HandName, string>>;
}>();
const cap = (name: HandName): string => props.caps?.[name] ?? capOf(name);
const emit = defineEmits<{
  mark: [clip: number, moment: Moment, frame: number];
  point: [clip: Clip, pixel: Pixel];
  /** All pictures of another snap can be seen. */
  ready: [];
}>();
defineSlots<{
  over?: (over: { clip: Clip; leads: boolean; at: number; width: number; height: number; unit: number }) => unknown;
  hands?: () => unknown;
}>();

const videos = shallowRef<ReadonlyMap<number, HTMLVideoElement>>(new Map());
/** Which angle is large and leads; the first one of a snap that has no such angle. */
const first = useLocalStorage('violet-chalk-film-angle', 'end zone');
const layout = useLocalStorage<'large' | 'alike'>('violet-chalk-film-layout', 'large');
const ordered = computed(() =>
  [...props.clips].sort((a, b) => Number(b.angle === first.value) - Number(a.angle === first.value)),
);
const lead = computed(() => ordered.value[0] ?? null);
const shown = computed<(Shown & { clip: Clip })[]>(() =>
  ordered.value.flatMap((clip) => {
    const video = videos.value.get(clip.id);
    return video ? [{ clip, video }] : [];
  }),
);
const transport = useTransport(shown);
/** The frame of a clip that is on show. */
const frameOf = (clip: Clip): number => (lead.value ? sameMoment(transport.seen.value, lead.value, clip) : 0);
watchEffect(() => (transport.playOnly.value = props.playOnly === true));
const loaded = ref<number[]>([]);
function see(id: number): void {
  transport.show(transport.frame.value);
  loaded.value = [...loaded.value.filter((l) => l !== id), id];
  if (props.clips.every((c) => loaded.value.includes(c.id))) emit('ready');
}
const missing = ref<string[]>([]);
watch(
  () => props.clips.map((c) => c.id).join(),
  () => ([missing.value, loaded.value] = [[], []]),
);

function hold(id: number, video: HTMLVideoElement | null): void {
  const next = new Map(videos.value);
  if (video) next.set(id, video);
  else next.delete(id);
  videos.value = next;
}

/** The other angle leads from now on. */
function swap(): void {
  const [now, other] = ordered.value;
  if (!now || !other) return;
  transport.change(now, other);
  first.value = other.angle;
}
const arrange = (): void => void (layout.value = layout.value === 'large' ? 'alike' : 'large');
function markHere(moment: Moment): void {
  if (lead.value && !props.readOnly) emit('mark', lead.value.id, moment, transport.frame.value);
}
const zoomed = ref(1);
const zoom = (): void => void (zoomed.value = zoomed.value === 4 ? 1 : zoomed.value * 2);
const near = (times: 1 | 2 | 4): void => void (zoomed.value = times);
defineExpose({ frameOf, transport, swap, arrange, markHere, zoom, near, lead, shown });

const { frame, seen, playing, looping, speed, last } = transport;
/** While the track is in the hand it stays where the hand is. */
const held = ref(false);
function drag(to: number): void {
  held.value = true;
  transport.seek(to);
}
const clock = computed(() => {
  if (!lead.value) return '';
  const t = sinceSnap(seen.value, lead.value.snapFrame, lead.value.framesPerSecond);
  return `frame ${seen.value}, ${Math.abs(t).toFixed(2)} s ${t < 0 ? 'before' : 'after'} the snap`;
});
/** Moments on the track; a contact nobody has marked stands on the snap and is not shown twice. */
const marks = computed(() => {
  const clip = lead.value;
  if (!clip) return [];
  return MOMENTS.flatMap((name) => {
    const frame = frameOfMoment(clip, name);
    return frame === null ? [] : [{ name, frame }];
  }).filter((m, i, all) => !all.slice(0, i).some((other) => other.frame === m.frame));
});
/** Of the whole track, what two words beneath it need between them. */
const ROOM_FOR_A_WORD = 0.13;
/** Too near another moment, the throw is told above the track. */
const isCrowded = (frame: number): boolean =>
  marks.value.some((m) => m.frame !== frame && Math.abs(m.frame - frame) < ROOM_FOR_A_WORD * last.value);
/** What can be marked: a ball is thrown on a pass only. */
const markable = computed(() => MOMENTS.filter((name) => name !== 'throw' || props.pass));
const SPEED_WORDS = { 1: 'full', 0.5: 'half', 0.25: 'quarter' } as const;
const ZOOM_WORDS: Readonly<Record<number, string>> = { 1: 'nearer', 2: 'twice as near', 4: 'four times as near' };
</script>

<template>
  <div class="pair">
    <p v-if="!clips.length" class="none">This snap has no film. It can still be graded from what was asked.</p>
    <div v-else class="pictures" :class="[layout, { single: clips.length === 1, stacked }]">
      <FilmPicture
        v-for="(c, i) in ordered"
        :key="c.id"
        :clip="c"
        :leads="i === 0"
        :zoomed="i === 0 ? zoomed : 1"
        :missing="missing.includes(c.angle)"
        :pointing="pointing"
        :aim="i === 0 && aimAt ? aimAt(c, seen) : null"
        @hold="hold(c.id, $event)"
        @loaded="see(c.id)"
        @lost="missing = [...missing, c.angle]"
        @take="i > 0 && swap()"
        @point="emit('point', c, $event)"
      >
        <template v-if="$slots.over" #over="picture">
          <slot name="over" :clip="c" :leads="i === 0" :at="frameOf(c)" v-bind="picture" />
        </template>
      </FilmPicture>
    </div>
    <div v-if="clips.length" class="transport">
      <button class="plain" type="button" :aria-pressed="playing" @click="transport.toggle">
        <kbd>{{ cap('play') }}</kbd> {{ playing ? 'stop' : 'play' }}
      </button>
      <button class="plain" type="button" @click="transport.seek(frame - 1)">
        <kbd>{{ cap('back') }}</kbd><span class="visually-hidden">one frame back</span>
      </button>
      <button class="plain" type="button" @click="transport.seek(frame + 1)">
        <kbd>{{ cap('on') }}</kbd> frame
      </button>
      <button class="plain" type="button" @click="transport.slower">
        <kbd>{{ cap('speed') }}</kbd> {{ SPEED_WORDS[speed] }} speed
      </button>
      <button class="plain" type="button" :aria-pressed="looping" @click="looping = !looping">
        <kbd>{{ cap('loop') }}</kbd> over and over
      </button>
      <div class="track">
        <input
          type="range"
          min="0"
          :max="last"
          :value="held ? frame : seen"
          aria-label="Frame"
          @input="drag(Number(($event.target as HTMLInputElement).value))"
          @change="held = false"
          @keydown.stop
        />
        <button
          v-for="m in marks"
          :key="m.name"
          type="button"
          class="plain tick"
          :class="[m.name, { crowded: isCrowded(m.frame) }]"
          :style="{ left: `${(m.frame / Math.max(1, last)) * 100}%` }"
          @click="transport.seek(m.frame)"
        >
          {{ m.name }}
        </button>
      </div>
      <span class="soft clock">{{ clock }}</span>
    </div>
    <div v-if="clips.length" class="transport second">
      <span v-if="!readOnly" class="here"
        >here is the
        <button v-for="m in markable" :key="m" class="plain" type="button" @click="markHere(m)">
          <kbd>{{ cap(m) }}</kbd> {{ m }}
        </button>
      </span>
      <button v-if="clips.length > 1" class="plain" type="button" @click="swap">
        <kbd>{{ cap('swap') }}</kbd> other angle
      </button>
      <button v-if="clips.length > 1" class="plain" type="button" @click="arrange">
        <kbd>{{ cap('arrange') }}</kbd> {{ layout === 'large' ? 'both alike' : 'one large' }}
      </button>
      <button class="plain" type="button" @click="zoom">
        <kbd>{{ cap('zoom') }}</kbd> {{ ZOOM_WORDS[zoomed] }}
      </button>
      <slot name="hands" />
      <span class="soft"
        ><kbd>{{ cap('help') }}</kbd> all keys</span
      >
    </div>
  </div>
</template>

<style scoped>
.pair {
  display: flex;
  flex-direction: column;
  flex: 1;
  min-height: 250px;
}
.pictures {
  flex: 1;
  min-height: 0;
  display: grid;
  gap: 8px;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
}
.pictures.large {
  grid-template-columns: minmax(0, 1fr) clamp(180px, 27%, 460px);
}
.pictures.stacked.large {
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: minmax(0, 2.2fr) minmax(0, 1fr);
}
.pictures.stacked.alike {
  grid-template-columns: minmax(0, 1fr);
  grid-template-rows: minmax(0, 1fr) minmax(0, 1fr);
}
.pictures.single {
  grid-template: minmax(0, 1fr) / minmax(0, 1fr);
}
.none {
  padding: 18px 0;
  font-weight: 600;
}
.transport {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 6px 0 16px;
  font-size: 12.5px;
}
.transport.second {
  flex-wrap: wrap;
  gap: 4px 18px;
  padding: 0 0 8px;
}
.here {
  display: flex;
  gap: 8px;
}
.transport [aria-pressed='true'] {
  color: var(--violet);
  font-weight: 650;
}
.track {
  position: relative;
  flex: 1;
  min-width: 120px;
}
.track input {
  width: 100%;
  accent-color: var(--violet);
  display: block;
  margin: 0;
}
.tick {
  position: absolute;
  top: 15px;
  transform: translateX(-50%);
  font-size: 11px;
  color: var(--soft);
  white-space: nowrap;
}
/* The two stand close: one ends where it is, the other begins there. */
.tick.snap {
  transform: translateX(-100%);
}
.tick.contact {
  transform: translateX(3px);
}
.tick.throw.crowded {
  top: -4px;
  line-height: 1;
}
.tick.whistle {
  transform: translateX(-20%);
}
.tick:hover {
  color: var(--violet);
}
.clock {
  min-width: 168px;
  text-align: right;
  font-variation-settings: var(--narrow);
}
@media (max-width: 640px) {
  .transport {
    flex-wrap: wrap;
  }
  .pictures,
  .pictures.large {
    grid-template-columns: 1fr;
  }
}
</style>
