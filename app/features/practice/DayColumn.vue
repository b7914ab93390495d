<script setup lang="ts">
import { format, parseISO } from 'date-fns';
import { computed, ref } from 'vue';
import { VueDraggable, type DraggableEvent } from 'vue-draggable-plus';
import { GEARS } from '#core/model/drill';
import { THEMES, type PracticeDay } from '#core/model/practice';
import { HERE, HERE_IDS, sayPresent } from '#core/roster/attendance';
import LineRow from './LineRow.vue';
import { usePractice } from './store';

/** A day: what it leans to, who is there, and its lines in their order with the clock beside them. */
const props = defineProps<{ day: PracticeDay }>();
const practice = usePractice();
const isOpen = ref(false);
const wanted = ref('');

const title = computed(() => format(parseISO(props.day.day), 'EEEE d MMM'));
const men = computed(() => practice.lineOn(props.day.day));
const planned = computed(() => props.day.lines.reduce((sum, l) => sum + l.minutes, 0));
/** Minutes from the start of the period at which each line begins. */
const starts = computed(() => {
  let at = 0;
  return props.day.lines.map((l) => (at += l.minutes) - l.minutes);
});
const breaches = computed(() => practice.breaches.filter((b) => b.day === props.day.day));
const contact = computed(() => practice.contactOn(props.day));
const drills = computed(() => [...practice.drills.values()].sort((a, b) => a.name.localeCompare(b.name, 'en')));

const valueOf = (event: Event): string => (event.target as HTMLInputElement).value;
function setMinutes(value: number): void {
  if (Number.isInteger(value) && value >= 5 && value <= 180) void practice.changeDay(props.day.day, { minutes: value });
}
const dayOf = (list: HTMLElement): string => list.dataset.day ?? '';
/** A line was dragged here, from another day or from elsewhere in this one. */
function dropped({ from, to, oldIndex, newIndex }: DraggableEvent): void {
  const source = practice.days.find((d) => d.day === dayOf(from));
  const line = source?.lines[oldIndex ?? -1];
  if (source && line) void practice.moveLine(source.day, line.id, dayOf(to), newIndex ?? 0);
}
/** By keyboard: up, down, or to the day before or after. */
function step(at: number, where: 'up' | 'down' | 'before' | 'after'): void {
  const { day, lines } = props.day;
  const { id } = lines[at]!;
  if (where === 'up' || where === 'down') return void practice.moveLine(day, id, day, where === 'up' ? at - 1 : at + 1);
  const here = practice.days.findIndex((d) => d.day === day);
  const to = practice.days[where === 'before' ? here - 1 : here + 1];
  if (to) void practice.moveLine(day, id, to.day, at);
}
function addWanted(): void {
  if (!wanted.value) return;
  void practice.addDrill(props.day.day, wanted.value);
  wanted.value = '';
}
</script>

<template>
  <section :aria-label="title">
    <header>
      <h2>{{ title }}</h2>
      <p>
        <select
          class="field"
          :value="day.theme"
          :aria-label="`What ${title} leans to`"
          @change="practice.changeDay(day.day, { theme: valueOf($event) as PracticeDay['theme'] })"
        >
          <option v-for="(t, id) in THEMES" :key="id" :value="id">{{ t.name }}</option>
        </select>
        <select
          class="field"
          :value="day.gear"
          :aria-label="`What is worn on ${title}`"
          @change="practice.changeDay(day.day, { gear: valueOf($event) as PracticeDay['gear'] })"
        >
          <option v-for="g in GEARS" :key="g" :value="g">{{ g }}</option>
        </select>
      </p>
      <p>
        <label
          ><input
            v-typed
            class="field minutes"
            type="number"
            min="5"
            max="180"
            :value="day.minutes"
            :aria-label="`Minutes on ${title}`"
            @change="setMinutes(Number(valueOf($event)))"
          />
          min</label
        >
        <label
          >from
          <input
            v-typed
            class="field"
            type="time"
            :value="day.begins ?? ''"
            :aria-label="`When ${title} begins`"
            @change="practice.changeDay(day.day, { begins: valueOf($event) || null })"
        /></label>
        <span class="soft">{{ planned }} planned, {{ contact }} of contact</span>
      </p>
      <p>
        <button class="plain link" type="button" :aria-expanded="isOpen" @click="isOpen = !isOpen">
          {{ sayPresent(men) }}
        </button>
        <button class="plain link" type="button" @click="practice.planDay(day.day)">
          {{ day.lines.length ? 'plan it again' : 'plan it' }}
        </button>
        <button class="plain link away" type="button" @click="practice.dropDay(day.day)">take it out</button>
      </p>
      <ul v-if="isOpen" class="men">
        <li v-for="m in men" :key="m.playerId" :class="m.here">
          <span>{{ m.name }}</span>
          <span role="radiogroup" :aria-label="m.name">
            <button
              v-for="h in HERE_IDS"
              :key="h"
              class="plain"
              type="button"
              role="radio"
              :aria-checked="m.here === h"
              @click="practice.setHere(day.day, m.playerId, h)"
            >
              {{ HERE[h] }}
            </button>
          </span>
        </li>
      </ul>
      <div v-if="breaches.length" role="alert">
        <ul class="breaches">
          <li v-for="b in breaches" :key="b.says">{{ b.says }}</li>
        </ul>
      </div>
    </header>
    <VueDraggable
      tag="ol"
      :model-value="day.lines"
      group="practice"
      handle=".grip"
      :animation="120"
      :data-day="day.day"
      class="lines"
      @update="dropped"
      @add="dropped"
    >
      <LineRow
        v-for="(l, i) in day.lines"
        :key="l.id"
        :day="day.day"
        :begins="day.begins"
        :line="l"
        :starts="starts[i]!"
        @step="step(i, $event)"
      />
    </VueDraggable>
    <p v-if="day.lines.length === 0" class="soft">Nothing is planned yet.</p>
    <p class="no-print">
      <select v-model="wanted" class="field" :aria-label="`One more drill on ${title}`" @change="addWanted">
        <option value="">one more drill …</option>
        <option v-for="d in drills" :key="d.id" :value="d.id">{{ d.name }}</option>
      </select>
    </p>
  </section>
</template>

<style scoped>
section {
  min-width: 0;
}
header {
  border-bottom: 2px solid var(--ink);
  padding-bottom: 6px;
}
header p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
  align-items: baseline;
  padding-top: 4px;
  font-size: 13px;
}
h2 {
  font-size: 15px;
  color: var(--ink);
}
.minutes {
  width: 58px;
}
.away {
  margin-left: auto;
  font-weight: 400;
}
.men li {
  display: flex;
  justify-content: space-between;
  gap: 8px;
  font-size: 13px;
  padding: 3px 0;
  border-bottom: 1px solid var(--rule);
}
.men [role='radio'] {
  padding: 0 6px;
  color: var(--soft);
}
.men [aria-checked='true'] {
  color: var(--violet);
  font-weight: 700;
}
.men .away > span:first-child {
  text-decoration: line-through;
}
.breaches {
  color: var(--broken);
  font-weight: 600;
  font-size: 13px;
  padding-top: 4px;
}
.lines {
  min-height: 24px;
}
@media (pointer: coarse) {
  .men [role='radio'] {
    min-height: 34px;
  }
}
</style>
