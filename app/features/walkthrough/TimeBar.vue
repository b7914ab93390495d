<script setup lang="ts">
import { Pause, Play, StepBack, StepForward } from '@lucide/vue';
import { computed } from 'vue';
import type { Run } from '#core/movement/run/run';
import { lastFrame, momentsOf, sayFrame } from './moments';

/** Without a run it is still being worked out: all of it stands where it will, and whoever presses has it at once. */
const props = defineProps<{ run: Run | null; frame: number; playing: boolean }>();
const emit = defineEmits<{ go: [frame: number]; toggle: [] }>();

const last = computed(() => lastFrame(props.run));
const moments = computed(() => momentsOf(props.run));
const now = computed(() => sayFrame(props.run, props.frame));
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
      :disabled="run !== null && frame === last"
      @click="emit('go', frame + 1)"
    >
      <StepForward :size="18" aria-hidden="true" />
    </button>
    <output>{{ now.time }}</output>
    <div class="track">
      <input
        type="range"
        min="0"
        :max="last"
        step="1"
        :value="frame"
        :disabled="!run"
        aria-label="Time since the snap"
        :aria-valuetext="now.time"
        @input="emit('go', Number(($event.target as HTMLInputElement).value))"
        @keydown.stop
      />
      <button
        v-for="m in moments"
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
    <span class="soft said">{{ now.last }}</span>
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
