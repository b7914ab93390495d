<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { useSeenSize } from '~/features/board/seen-size';
import type { Pixel } from '#core/model/calibration';

const props = defineProps<{
  clip: { readonly id: number; readonly angle: string };
  leads: boolean;
  /** How many times as near as the whole picture. */
  zoomed: number;
  missing: boolean;
  /** Clicks on the picture that leads are points of it. */
  pointing?: boolean;
  /** What the picture stays on while it is near, in shares of it. */
  aim?: Pixel | null;
}>();
const emit = defineEmits<{
  hold: [video: HTMLVideoElement | null];
  loaded: [];
  lost: [];
  take: [];
  point: [pixel: Pixel];
}>();
defineSlots<{ over?: (over: { width: number; height: number; unit: number }) => unknown }>();

const video = ref<HTMLVideoElement | null>(null);
onMounted(() => emit('hold', video.value));
const figure = ref<HTMLElement | null>(null);
const over = ref<SVGSVGElement | null>(null);
const shown = useSeenSize(figure);
/** Size of the film itself, pixels; known once it is loaded. */
const size = ref<{ width: number; height: number } | null>(null);
/** Pixels of the film that one of the screen takes up: what is drawn over it stays as large as it is meant. */
const unit = computed(() => {
  if (!size.value || !shown.width.value) return 1;
  const { width, height } = size.value;
  return Math.max(width / shown.width.value, height / shown.height.value) / props.zoomed;
});
const turned = computed(
  () => `scale(${props.zoomed}) translate(${(0.5 - middle.value.x) * 100}%, ${(0.5 - middle.value.y) * 100}%)`,
);
function loaded(): void {
  const { videoWidth: width, videoHeight: height } = video.value!;
  size.value = { width, height };
  emit('loaded');
}
onBeforeUnmount(() => emit('hold', null));

/** What stands in the middle, in shares of the picture. */
const middle = ref({ x: 0.5, y: 0.5 });
let from: { x: number; y: number } | null = null;
let grabbed: { x: number; y: number } | null = null;
/** A hand that moves less than this between down and up has clicked, pixels of the screen. */
const STILL = 4;
watch(
  () => props.zoomed,
  (now) => now === 1 && (middle.value = { x: 0.5, y: 0.5 }),
);

/** Nothing beside the picture comes into view. */
function look(x: number, y: number): void {
  const edge = 0.5 / props.zoomed;
  const within = (share: number): number => Math.max(edge, Math.min(1 - edge, share));
  middle.value = { x: within(x), y: within(y) };
}
watch(
  () => [props.aim, props.zoomed] as const,
  ([aim]) => aim && props.zoomed > 1 && look(aim.x, aim.y),
);
function grab(event: PointerEvent): void {
  if (props.zoomed === 1 && !(props.pointing && props.leads)) return emit('take');
  grabbed = { x: event.clientX, y: event.clientY };
  from = { x: event.clientX, y: event.clientY };
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
}
function drag(event: PointerEvent): void {
  if (!from || props.zoomed === 1) return;
  const { width, height } = (event.currentTarget as HTMLElement).getBoundingClientRect();
  const [dx, dy] = [event.clientX - from.x, event.clientY - from.y];
  look(middle.value.x - dx / width / props.zoomed, middle.value.y - dy / height / props.zoomed);
  from = { x: event.clientX, y: event.clientY };
}
function release(event: PointerEvent): void {
  const still = grabbed && Math.hypot(event.clientX - grabbed.x, event.clientY - grabbed.y) < STILL;
  [from, grabbed] = [null, null];
  if (!still || !props.pointing || !props.leads || !over.value || !size.value) return;
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(over.value.getScreenCTM()!.inverse());
  const { width, height } = size.value;
  if (at.x >= 0 && at.y >= 0 && at.x <= width && at.y <= height) emit('point', { x: at.x, y: at.y });
}
const STEPS: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
};
/** With Alt the arrows move what is looked at. */
function pan(event: KeyboardEvent): void {
  const step = STEPS[event.key];
  if (!event.altKey || !step || !props.leads || props.zoomed === 1) return;
  event.preventDefault();
  look(middle.value.x + (0.15 * step[0]) / props.zoomed, middle.value.y + (0.15 * step[1]) / props.zoomed);
}
useEventListener('keydown', pan);
</script>

<template>
  <figure
    ref="figure"
    :class="{ follows: !leads, near: zoomed > 1, pointing: pointing && leads }"
    @pointerdown="grab"
    @pointermove="drag"
    @pointerup="release"
  >
    <figcaption>{{ clip.angle }}</figcaption>
    <video
      ref="video"
      :src="`/api/clips/${clip.id}`"
      muted
      playsinline
      preload="auto"
      :aria-label="`Film from the ${clip.angle}`"
      :style="{ transform: turned }"
      @loadeddata="loaded"
      @error="emit('lost')"
    />
    <svg
      v-if="size && $slots.over"
      ref="over"
      class="over"
      :viewBox="`0 0 ${size.width} ${size.height}`"
      :style="{ transform: turned }"
      aria-hidden="true"
    >
      <slot name="over" v-bind="{ ...size, unit }" />
    </svg>
    <p v-if="missing" class="lost" role="alert">
      The {{ clip.angle }} film cannot be read on this machine. Grading goes on without it.
    </p>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
  position: relative;
  background: #0d130e;
  overflow: hidden;
  min-height: 0;
  touch-action: none;
}
.follows {
  cursor: pointer;
}
.near {
  cursor: grab;
}
figcaption {
  position: absolute;
  z-index: 1;
  top: 0;
  left: 0;
  padding: 1px 8px;
  font-size: 12px;
  background: rgb(13 19 14 / 75%);
  color: #eef2ee;
}
.pointing {
  cursor: crosshair;
}
.over {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  pointer-events: none;
}
video {
  position: absolute;
  inset: 0;
  width: 100%;
  height: 100%;
  object-fit: contain;
  display: block;
}
.lost {
  position: absolute;
  inset: auto 0 0;
  padding: 8px;
  background: rgb(13 19 14 / 85%);
  color: #ffd9d3;
}
@media (max-width: 640px) {
  figure {
    aspect-ratio: 16 / 9;
  }
}
</style>
