<script setup lang="ts">
import { format, parseISO } from 'date-fns';
import { ref } from 'vue';
import { practiceSheet } from '#core/paper/practice-sheet';
import { PAPERS, type Paper } from '#core/paper/sheet';
import { savePdf } from '~/features/paper/make';
import { download } from '~/features/playbook/files';
import { useSession } from '~/features/session/store';
import { useWeek } from '~/features/week/store';
import { calendarOf } from './calendar';
import { usePractice } from './store';

/** The week's practice out: a page a day as PDF, and the days for a calendar. */
const practice = usePractice();
const week = useWeek();
const session = useSession();
const paper = ref<Paper>('A4');
const problem = ref('');
const dayOf = (day: string): string => format(parseISO(day), 'EEEE d MMMM yyyy');
const title = (): string => `Week ${week.game!.week}, ${week.game!.opponent}`;
const sheets = () => {
  const words = {
    ...{ drillOf: practice.drillOf, nameOf: practice.nameOf, dayOf },
    stamp: `${session.member?.programName}, ${title()}, made ${format(new Date(), 'd MMM HH:mm')}`,
  };
  return practice.days.map((d) => practiceSheet(d, words));
};
const pdf = (): Promise<void> => savePdf(`practice ${title()}`, sheets(), paper.value);
function calendar(): void {
  const made = calendarOf(practice.days, title(), practice.drillOf);
  problem.value = made.problem;
  if (made.text) download(`practice ${title()}.ics`, made.text);
}
</script>

<template>
  <span class="out">
    <button class="plain link" type="button" @click="pdf">PDF</button>
    <select v-model="paper" class="field" aria-label="Paper">
      <option v-for="name in PAPERS" :key="name">{{ name }}</option>
    </select>
    <button class="plain link" type="button" @click="calendar">Calendar</button>
    <span v-if="problem" role="alert">{{ problem }}</span>
  </span>
</template>

<style scoped>
.out {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
</style>
