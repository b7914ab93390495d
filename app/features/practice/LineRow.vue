<script setup lang="ts">
import { GripHorizontal } from '@lucide/vue';
import { computed } from 'vue';
import type { PracticeLine, Station } from '#core/model/practice';
import { cautionsOfDrill, sayContact } from '#core/practice/cautions';
import { clockAt } from '#core/practice/clock';
import { usePractice } from './store';

/** One line of a day: when it begins, what each group does, how many reps that is, and why. */
const props = defineProps<{ day: string; begins: string | null; line: PracticeLine; starts: number }>();
const emit = defineEmits<{ step: [where: 'up' | 'down' | 'before' | 'after'] }>();
const practice = usePractice();

const clock = computed(() => clockAt(props.begins, props.starts));
const present = computed(() => practice.lineOn(props.day).filter((m) => m.here !== 'away').length);
const nameOf = (s: Station): string => practice.drillOf(s.drill)?.name ?? s.drill;
/** Everybody, or who. */
const who = (s: Station): string =>
  s.men.length >= present.value
    ? 'everybody'
    : s.men.length > 3
      ? `${s.men.length} men`
      : s.men.map(practice.nameOf).join(', ');
const reps = (s: Station): string => `${Math.max(1, Math.round(s.reps))} reps each`;
const about = (s: Station): string => {
  const drill = practice.drillOf(s.drill);
  return drill ? [drill.purpose, sayContact(drill.contact), ...cautionsOfDrill(drill)].join(' · ') : '';
};
const careOf = (s: Station): boolean => {
  const drill = practice.drillOf(s.drill);
  return drill !== null && cautionsOfDrill(drill).length > 0;
};
const stationsSaid = computed(() => props.line.stations.map(nameOf).join(', ') || 'water and rest');
const STEPS = { ArrowUp: 'up', ArrowDown: 'down', ArrowLeft: 'before', ArrowRight: 'after' } as const;
function key(event: KeyboardEvent): void {
  if (!event.altKey || !(event.key in STEPS)) return;
  event.preventDefault();
  emit('step', STEPS[event.key as keyof typeof STEPS]);
}
function setMinutes(event: Event): void {
  const minutes = Number((event.target as HTMLInputElement).value);
  if (Number.isInteger(minutes) && minutes >= 1 && minutes <= 60)
    void practice.changeLine(props.day, props.line.id, { minutes });
}
</script>

<template>
  <li :class="{ held: line.held }" @keydown="key">
    <button
      class="plain grip"
      type="button"
      :aria-label="`Move ${stationsSaid}: Alt and an arrow key`"
      title="Drag it, or Alt and an arrow key"
    >
      <span class="clock">{{ clock }}</span>
      <GripHorizontal :size="14" aria-hidden="true" />
    </button>
    <div class="what">
      <p v-if="line.stations.length === 0"><b>Water and rest</b></p>
      <div v-for="s in line.stations" :key="s.drill" class="station">
        <p>
          <NuxtLink :to="{ path: '/week/drills', query: { drill: s.drill } }" :title="about(s)">{{
            nameOf(s)
          }}</NuxtLink>
          <span v-if="careOf(s)" class="care" title="There is something to be careful with: open the drill">!</span>
          <span class="soft who">{{ who(s) }}, {{ reps(s) }}</span>
        </p>
        <p class="why">{{ s.why }}</p>
        <p v-if="s.pairs.length" class="why">
          {{ s.pairs.map(([a, b]) => `${practice.nameOf(a)} with ${practice.nameOf(b)}`).join('; ') }}
        </p>
      </div>
    </div>
    <div class="hands">
      <input
        v-typed
        class="field"
        type="number"
        min="1"
        max="60"
        :value="line.minutes"
        :aria-label="`Minutes of ${stationsSaid}`"
        @change="setMinutes"
      />
      <button
        class="plain"
        type="button"
        :aria-pressed="line.held"
        :title="
          line.held ? 'It stays when the day is planned again' : 'Hold it: it stays when the day is planned again'
        "
        @click="practice.changeLine(day, line.id, { held: !line.held })"
      >
        {{ line.held ? 'held' : 'hold' }}
      </button>
      <button
        class="plain"
        type="button"
        :aria-label="`Without ${stationsSaid}`"
        @click="practice.dropLine(day, line.id)"
      >
        ×
      </button>
    </div>
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 40px minmax(0, 1fr) auto;
  gap: 0 8px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
  background: var(--ground);
}
li.held {
  box-shadow: -6px 0 0 -3px var(--violet);
}
.grip {
  cursor: grab;
  align-self: start;
  touch-action: none;
}
.clock {
  display: block;
  font-weight: 650;
  font-size: 13px;
}
.grip svg {
  color: var(--soft);
}
.station + .station {
  margin-top: 5px;
  padding-top: 5px;
  border-top: 1px dashed var(--rule);
}
.station a {
  color: var(--ink);
  font-weight: 650;
  text-decoration: none;
}
.station a:hover {
  color: var(--violet);
}
.who {
  font-size: 12.5px;
  margin-left: 6px;
}
.care {
  color: var(--broken);
  font-weight: 800;
  margin-left: 3px;
}
.why {
  font-size: 12.5px;
  line-height: 1.3;
  color: var(--soft);
}
.hands {
  display: flex;
  align-items: baseline;
  align-self: start;
  gap: 8px;
  font-size: 12px;
  color: var(--soft);
}
.hands input {
  width: 44px;
}
.hands [aria-pressed='true'] {
  color: var(--violet);
  font-weight: 700;
}
.hands button:hover {
  color: var(--ink);
}
@media (pointer: coarse) {
  .hands button {
    min-height: 32px;
    min-width: 32px;
  }
}
</style>
