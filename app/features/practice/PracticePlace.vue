<script setup lang="ts">
import { addDays, format, isValid, parseISO } from 'date-fns';
import { computed, onMounted, ref, watch } from 'vue';
import { LIMITS_ARE_YOURS } from '#core/practice/cautions';
import { useSession } from '~/features/session/store';
import WeekHead from '~/features/week/WeekHead.vue';
import { usePlan } from '~/features/plan/store';
import { useWeek } from '~/features/week/store';
import DayColumn from './DayColumn.vue';
import PracticePaper from './PracticePaper.vue';
import PracticeWaysForm from './PracticeWaysForm.vue';
import { usePractice } from './store';

/** The individual time of a week: every day's lines side by side, made by the planner and changed by hand. */
const practice = usePractice();
const plan = usePlan();
const week = useWeek();
const session = useSession();
const isOpen = ref(false);
onMounted(() => void practice.open());
watch(
  () => practice.days.map((d) => d.day).join(),
  () => void practice.open(),
);

const says = computed(() => {
  const minutes = practice.days.reduce((sum, d) => sum + d.minutes, 0);
  if (practice.days.length === 0) return 'Say on which days you practise; the rest is worked out from the plan.';
  const share = Math.round(100 * practice.ways.foundations);
  return `${minutes} minutes of your own on ${practice.days.length} days: ${share} % foundations, ${100 - share} % this opponent.`;
});
/** The next day is two after the last one, or in the game's week. */
const nextDay = computed(() => {
  const last = practice.days.at(-1)?.day;
  const game = week.game?.playedOn;
  const day = last ? addDays(parseISO(last), 2) : game ? addDays(parseISO(game), -4) : new Date();
  return format(day, 'yyyy-MM-dd');
});
const day = ref('');
const newDay = computed({ get: () => day.value || nextDay.value, set: (value) => void (day.value = value) });
const canAdd = computed(() => isValid(parseISO(newDay.value)) && !practice.days.some((d) => d.day === newDay.value));
async function add(): Promise<void> {
  const last = practice.days.at(-1);
  const made = {
    theme: 'foundations',
    minutes: 25,
    gear: 'shoulder pads',
    begins: null,
    ...last,
    day: newDay.value,
    lines: [],
  } as const;
  day.value = '';
  await practice.addDay({ ...made, lines: [] });
}
/** Contact is planned only once somebody has entered how much there may be. */
const noLimit = computed(() => practice.ways.contactADay === null || practice.ways.contactAWeek === null);
</script>

<template>
  <div class="place">
    <WeekHead title="Practice" :says="says" />
    <template v-if="week.game">
      <p v-if="practice.problem" class="page-problem" role="alert">{{ practice.problem }}</p>
      <div class="hands no-print">
        <form @submit.prevent="add">
          <label>A day more <input v-model="newDay" class="field" type="date" required /></label>
          <button class="plain link" type="submit" :disabled="!canAdd">add it</button>
        </form>
        <button v-if="practice.days.length" class="strong" type="button" @click="practice.planAll()">
          Plan the whole week
        </button>
        <PracticePaper v-if="practice.days.length" />
        <button class="plain link" type="button" :aria-expanded="isOpen" @click="isOpen = !isOpen">
          Limits and habits
        </button>
      </div>
      <PracticeWaysForm v-if="isOpen && session.coach" />
      <p v-if="noLimit" class="soft care">
        No limit for contact is entered, so none is planned.
        <button class="plain link" type="button" @click="isOpen = true">Enter yours</button>
      </p>
      <p v-if="practice.days.length" class="soft care">{{ LIMITS_ARE_YOURS }}</p>
      <p v-if="practice.days.length && plan.standings.length === 0" class="soft care">
        The week has no plan yet, so days are filled from the library alone.
        <NuxtLink to="/week/plan">Choose plays and looks</NuxtLink>
      </p>
      <ul v-if="practice.told.length" class="care" role="status">
        <li v-for="t in practice.told" :key="t">{{ t }}</li>
      </ul>
      <div class="days">
        <DayColumn v-for="d in practice.days" :key="d.day" :day="d" />
      </div>
    </template>
  </div>
</template>

<style scoped>
.hands {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 22px;
  align-items: baseline;
  padding: 10px 20px;
}
form {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
.care {
  padding: 2px 20px;
  font-size: 13px;
}
.days {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 0 22px;
  padding: 12px 20px 40px;
  align-items: start;
}
@media (max-width: 700px) {
  .days {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
