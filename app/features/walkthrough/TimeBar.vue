<script setup lang="ts">
import { Pause, Play, StepBack, StepForward } from '@lucide/vue';
import { computed } from 'vue';
import type { Run, RunEvent } from '#core/movement/run/run';

const props = defineProps<{ run: Run; frame: number; playing: boolean }>();
const emit = defineEmits<{ go: [frame: number]; toggle: [] }>();

const seconds = computed(() => (props.frame * props.run.step).toFixed(2));
const last = computed(() => props.run.frames.length - 1);
const marks = computed(() =>
  props.run.events
    .filter((e) => e.kind !== 'contact' && e.kind !== 'goes on')
    .map((e) => ({
      left: (100 * e.time) / (last.value * props.run.step),
      says: say(e),
      bad: e.kind !== 'ball at the line' && e.kind !== 'ball out',
      frame: e.time / props.run.step,
    })),
);

function say(e: RunEvent): string {
  const at = `${e.time.toFixed(1)} s`;
  switch (e.kind) {
    case 'contact':
      return `${e.man} on ${e.on}, ${at}`;
    case 'goes on':
      return `${e.man} on to ${e.to}, ${at}`;
    case 'meets the ball':
      return `${e.who} meets the ball, ${at}`;
    case 'at the quarterback':
      return `${e.who} at the quarterback, ${at}`;
    default:
      return `${e.kind}, ${at}`;
  }
}
const now = computed(
  () =>
    props.run.events
      .filter((e) => e.time <= props.frame * props.run.step)
      .slice(-1)
      .map(say)[0] ?? 'before anybody is met',
);
</script>

<template>
  <div class="time no-print" role="group" aria-label="The play in time">
    <button class="plain" type="button" :aria-label="playing ? 'Hold it' : 'Run it'" @click="emit('toggle')">
      <component :is="playing ? Pause : Play" :size="18" aria-hidden="true" />
    </button>
    <button
      class="plain"
      type="button"
      aria-label="One step back"
      :disabled="frame === 0"
      @click="emit('go', frame - 1)"
    >
      <StepBack :size="18" aria-hidden="true" />
    </button>
    <button
      class="plain"
      type="button"
      aria-label="One step on"
      :disabled="frame === last"
      @click="emit('go', frame + 1)"
    >
      <StepForward :size="18" aria-hidden="true" />
    </button>
    <output>{{ frame === 0 ? 'Snap' : `${seconds} s` }}</output>
    <div class="track">
      <input
        type="range"
        min="0"
        :max="last"
        step="1"
        :value="frame"
        aria-label="Time since the snap"
        :aria-valuetext="`${seconds} seconds`"
        @input="emit('go', Number(($event.target as HTMLInputElement).value))"
        @keydown.stop
      />
      <button
        v-for="m in marks"
        :key="m.says"
        class="plain mark"
        :class="{ bad: m.bad }"
        type="button"
        :style="{ left: `calc(${m.left}% * 0.985 + 4px)` }"
        :title="m.says"
        :aria-label="m.says"
        @click="emit('go', m.frame)"
      />
    </div>
    <span class="soft said">{{ frame === 0 ? 'places and speeds only: nobody’s strength or skill' : now }}</span>
  </div>
</template>

<style scoped>
.time {
  display: grid;
  grid-template-columns: auto auto auto 58px minmax(120px, 1fr) minmax(120px, 230px);
  gap: 10px;
  align-items: center;
  padding: 6px 0 8px;
  font-size: 13px;
}
output {
  font-weight: 650;
  font-variant-numeric: tabular-nums;
}
.track {
  position: relative;
}
input {
  width: 100%;
  accent-color: var(--violet);
  display: block;
}
.mark {
  position: absolute;
  top: -4px;
  width: 3px;
  height: 26px;
  background: var(--ink);
  padding: 0;
  margin-left: -1px;
  pointer-events: auto;
}
.mark.bad {
  background: var(--broken);
}
.said {
  overflow-wrap: anywhere;
  line-height: 1.2;
}
button:disabled {
  opacity: 0.35;
}
</style>
