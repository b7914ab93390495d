<script setup lang="ts">
import { useEventListener } from '@vueuse/core';
import { onBeforeUnmount, onMounted, ref, watch } from 'vue';

const props = defineProps<{
  clip: { readonly id: number; readonly angle: string };
  leads: boolean;
  /** How many times as near as the whole picture. */
  zoomed: number;
  missing: boolean;
}>();
const emit = defineEmits<{ hold: [video: HTMLVideoElement | null]; loaded: []; lost: []; take: [] }>();

const video = ref<HTMLVideoElement | null>(null);
onMounted(() => emit('hold', video.value));
onBeforeUnmount(() => emit('hold', null));

/** What stands in the middle, in shares of the picture. */
const middle = ref({ x: 0.5, y: 0.5 });
let from: { x: number; y: number } | null = null;
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
function grab(event: PointerEvent): void {
  if (props.zoomed === 1) return emit('take');
  from = { x: event.clientX, y: event.clientY };
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
}
function drag(event: PointerEvent): void {
  if (!from) return;
  const { width, height } = (event.currentTarget as HTMLElement).getBoundingClientRect();
  const [dx, dy] = [event.clientX - from.x, event.clientY - from.y];
  look(middle.value.x - dx / width / props.zoomed, middle.value.y - dy / height / props.zoomed);
  from = { x: event.clientX, y: event.clientY };
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
    :class="{ follows: !leads, near: zoomed > 1 }"
    @pointerdown="grab"
    @pointermove="drag"
    @pointerup="from = null"
  >
    <figcaption>{{ clip.angle }}</figcaption>
    <video
      ref="video"
      :src="`/api/clips/${clip.id}`"
      muted
      playsinline
      preload="auto"
      :aria-label="`Film from the ${clip.angle}`"
      :style="{ transform: `scale(${zoomed}) translate(${(0.5 - middle.x) * 100}%, ${(0.5 - middle.y) * 100}%)` }"
      @loadeddata="emit('loaded')"
      @error="emit('lost')"
    />
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
