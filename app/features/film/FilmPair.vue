<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { sinceSnap } from '#core/film/frames';
import type { ClipBody } from '#core/model/snap';
import { useTransport } from './transport';

const props = defineProps<{ clips: readonly (ClipBody & { id: number; angle: string })[] }>();

const elements = shallowRef<(HTMLVideoElement | null)[]>([]);
const videos = computed(() => elements.value.filter((v): v is HTMLVideoElement => v !== null));
const clip = computed(() => props.clips[0] ?? null);
const missing = ref<string[]>([]);
const transport = useTransport(videos, clip);
defineExpose({ transport });

watch(
  () => props.clips,
  () => {
    missing.value = [];
  },
);
const hold = (i: number, el: unknown): void => {
  const next = [...elements.value];
  next[i] = el as HTMLVideoElement | null;
  if (next[i] !== elements.value[i]) elements.value = next;
};
const clock = computed(() => {
  if (!clip.value) return '';
  const t = sinceSnap(transport.frame.value, clip.value.snapFrame, clip.value.framesPerSecond);
  return `frame ${transport.frame.value}, ${Math.abs(t).toFixed(2)} s ${t < 0 ? 'before' : 'after'} the snap`;
});
const marks = computed(() =>
  clip.value
    ? [
        { name: 'snap', frame: clip.value.snapFrame },
        { name: 'contact', frame: clip.value.contactFrame },
        { name: 'whistle', frame: clip.value.whistleFrame },
      ]
    : [],
);
const { frame, playing, speed, last } = transport;
</script>

<template>
  <div class="pair">
    <p v-if="!clips.length" class="none">This snap has no film. It can still be graded from what was asked.</p>
    <div class="pictures">
      <figure v-for="(c, i) in clips" :key="c.angle">
        <figcaption>{{ c.angle }}</figcaption>
        <video
          :ref="(el) => hold(i, el)"
          :key="c.id"
          :src="`/api/clips/${c.id}`"
          muted
          playsinline
          preload="auto"
          :aria-label="`Film from the ${c.angle}`"
          @loadeddata="transport.seek(transport.frame.value)"
          @error="missing = [...missing, c.angle]"
        />
        <p v-if="missing.includes(c.angle)" class="lost" role="alert">
          The {{ c.angle }} film cannot be read on this machine. Grading goes on without it.
        </p>
      </figure>
    </div>
    <div v-if="clips.length" class="transport">
      <button class="plain" type="button" :aria-pressed="playing" @click="transport.toggle">
        <kbd>space</kbd> {{ playing ? 'stop' : 'play' }}
      </button>
      <button class="plain" type="button" @click="transport.seek(frame - 1)">
        <kbd>←</kbd><span class="visually-hidden">one frame back</span>
      </button>
      <button class="plain" type="button" @click="transport.seek(frame + 1)"><kbd>→</kbd> frame</button>
      <button class="plain" type="button" @click="transport.slower">
        <kbd>v</kbd> {{ speed === 1 ? 'full' : speed === 0.5 ? 'half' : 'quarter' }} speed
      </button>
      <div class="track">
        <input
          type="range"
          min="0"
          :max="last"
          :value="frame"
          aria-label="Frame"
          @input="transport.seek(Number(($event.target as HTMLInputElement).value))"
          @keydown.stop
        />
        <button
          v-for="m in marks"
          :key="m.name"
          type="button"
          class="plain tick"
          :style="{ left: `${(m.frame / last) * 100}%` }"
          @click="transport.seek(m.frame)"
        >
          {{ m.name }}
        </button>
      </div>
      <span class="soft clock">{{ clock }}</span>
    </div>
  </div>
</template>

<style scoped>
.pictures {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(280px, 1fr));
  gap: 8px;
}
figure {
  margin: 0;
  position: relative;
  background: #0d130e;
  aspect-ratio: 16 / 9;
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
  width: 100%;
  height: 100%;
  display: block;
}
.lost {
  position: absolute;
  inset: auto 0 0;
  padding: 8px;
  background: rgb(13 19 14 / 85%);
  color: #ffd9d3;
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
}
</style>
