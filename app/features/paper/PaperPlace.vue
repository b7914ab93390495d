<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { format } from 'date-fns';
import { computed, onMounted, ref } from 'vue';
import { useLocalStorage } from '@vueuse/core';
import { benchSheet } from '#core/paper/bench-sheet';
import { theirManSheet, theirMen } from '#core/paper/their-sheets';
import { changedSheets, printedNow, type Printed } from '#core/paper/print-key';
import { PAPERS, type Paper, type Sheet } from '#core/paper/sheet';
import {
  assignmentSheet,
  callSheet,
  installSheet,
  pocketSheet,
  wristband,
  type WeekPaper,
} from '#core/paper/week-sheets';
import { COMMON_BAND, fitBand } from '#core/paper/wristband';
import { sayPlayOf } from '~/features/plan/say-play';
import { usePlan } from '~/features/plan/store';
import { usePlaybook } from '~/features/playbook/store';
import { useRoster } from '~/features/roster/store';
import { useSession } from '~/features/session/store';
import WeekHead from '~/features/week/WeekHead.vue';
import { useWeek } from '~/features/week/store';
import { useWeekRooms } from '~/features/week/rooms';
import { savePdf } from './make';

/** The week on paper: what is wanted is ticked, and comes as one file, every sheet beginning a page. */
const { to } = useWeekRooms();
const plan = usePlan();
const week = useWeek();
const playbook = usePlaybook();
const roster = useRoster();
const session = useSession();
onMounted(() => void roster.open());

const SHEETS = {
  call: { name: 'Call sheet', says: 'By situation, every call against every look and the sign it answers.' },
  band: { name: 'Wristband', says: 'Calls by number, as large as your card bears.' },
  install: { name: 'Install sheets', says: 'A play each: its rules and the week’s looks drawn with who does what.' },
  assignment: { name: 'Assignment sheets', says: 'A place each: whom, with whom, first step and call in every play.' },
  pocket: {
    name: 'Pocket cards',
    says: 'A place each: what he does when his man slants, loops, is replaced or walks up.',
  },
  bench: {
    name: 'Bench sheet',
    says: 'For the bench between series: looks to tally, what is sound against each, who goes in for whom.',
  },
  theirs: {
    name: 'Their men',
    says: 'A page each: where he stands in every look, what he does there, and who has him.',
  },
} as const;
type SheetId = keyof typeof SHEETS;
const wanted = ref<SheetId[]>(['call']);
const paper = ref<Paper>('A4');
const width = ref(COMMON_BAND.width / 72);
const height = ref(COMMON_BAND.height / 72);
const busy = ref(false);
const onlyChanged = ref(false);
const notice = ref('');
/** What was made last on this machine, by game. */
const printed = useLocalStorage<Record<string, Printed>>('violet-chalk-printed', {});
const problem = ref('');

const seats = computed(() => plan.men.map((m) => m.seat));
const band = computed(() => ({ width: 72 * width.value, height: 72 * height.value }));
const fit = computed(() => {
  const lines = plan.plan.plays.map((p, i) => `${i + 1} ${sayPlayOf(p)}`);
  return fitBand(lines.length, Math.max(0, ...lines.map((l) => l.length)), band.value);
});
const title = computed(() => (week.game ? `Week ${week.game.week}, ${week.game.opponent}` : ''));

function make(): Sheet[] {
  const words = playbook.program.callWords?.active;
  const made: WeekPaper = {
    plan: plan.plan,
    ways: { playbook: playbook.book, settings: playbook.settings, words: playbook.words },
    ...{ sayPlay: sayPlayOf, title: title.value },
    stamp: `${session.member?.programName}, ${title.value}, words ${words ?? 'as shipped'}, made ${format(new Date(), 'd MMM HH:mm')}`,
  };
  const of: Record<SheetId, () => Sheet[]> = {
    call: () => [callSheet(made)],
    band: () => [wristband(made, band.value)],
    install: () => plan.plan.plays.map((_, i) => installSheet(made, i)),
    assignment: () => seats.value.map((s) => assignmentSheet(made, s)),
    pocket: () => seats.value.map((s) => pocketSheet(made, s)),
    bench: () => [
      benchSheet(
        made,
        seats.value,
        roster.players.filter((p) => !p.left),
      ),
    ],
    theirs: () => theirMen(made).map((id) => theirManSheet(made, id)),
  };
  return (Object.keys(SHEETS) as SheetId[]).filter((id) => wanted.value.includes(id)).flatMap((id) => of[id]());
}
async function save(): Promise<void> {
  busy.value = true;
  problem.value = '';
  // What is busy is shown before the sheets are made.
  await new Promise((resolve) => setTimeout(resolve, 30));
  try {
    const game = String(week.game!.id);
    const before = printed.value[game] ?? {};
    const all = make();
    const sheets = onlyChanged.value ? changedSheets(all, before) : all;
    notice.value = sheets.length === 0 ? 'Nothing has changed since it was last made here.' : '';
    if (sheets.length === 0) return;
    await savePdf(`week ${week.game!.week} ${week.game!.opponent}`, sheets, paper.value);
    printed.value = { ...printed.value, [game]: printedNow(sheets, before) };
    notice.value = `${howMany(sheets.length, 'sheet')} made.`;
  } catch (failure) {
    problem.value = `The file could not be made: ${(failure as Error).message}. Nothing was lost.`;
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <div class="place">
    <WeekHead
      title="Paper"
      says="Black on white, on A4 or Letter: every sheet says of which week and words it is and when it was made."
    />
    <p v-if="problem" class="page-problem" role="alert">{{ problem }}</p>
    <p v-if="notice" class="page-notice" role="status">{{ notice }}</p>
    <p v-if="week.game && !plan.isReady" class="none">
      Paper is made from the plan. <NuxtLink :to="to('/week/plan')">Choose plays and looks</NuxtLink> first.
    </p>
    <form v-else-if="week.game" class="page-parts" @submit.prevent="save">
      <fieldset>
        <legend>What you want</legend>
        <p v-for="(s, id) in SHEETS" :key="id">
          <label><input v-model="wanted" type="checkbox" :value="id" /> {{ s.name }}</label>
          <span class="soft">{{ s.says }}</span>
        </p>
        <p>
          <button class="strong" type="submit" :disabled="busy || !plan.isWorked || wanted.length === 0">
            {{ busy ? 'Making it …' : plan.isWorked ? 'Make the file' : 'Working it out …' }}
          </button>
          <label class="only"
            ><input v-model="onlyChanged" type="checkbox" /> only what has changed since it was last made here</label
          >
          <select v-model="paper" class="field" aria-label="Paper">
            <option v-for="name in PAPERS" :key="name">{{ name }}</option>
          </select>
        </p>
      </fieldset>
      <section aria-label="The wristband’s card">
        <h2>The wristband’s card</h2>
        <p>
          <label>Wide <input v-model.number="width" class="field" type="number" min="1" max="7" step="0.05" /></label>
          <label
            >high
            <input v-model.number="height" class="field" type="number" min="1" max="7" step="0.05" /> inches</label
          >
        </p>
        <p :class="{ wrong: !fit.fits }">
          <template v-if="fit.fits"
            >{{ plan.plan.plays.length }} calls in {{ howMany(fit.columns, 'column') }}, {{ fit.type }} point
            type.</template
          >
          <template v-else>Too many or too long: they would need {{ fit.type }} point type.</template>
        </p>
        <p class="soft">
          Practice plans are on their <NuxtLink :to="to('/week/practice')">own page</NuxtLink>, scripts and scout cards
          on <NuxtLink :to="to('/week/scripts')">theirs</NuxtLink>, grade sheets in the
          <NuxtLink to="/book/sheets">Book</NuxtLink>.
        </p>
      </section>
    </form>
  </div>
</template>

<style scoped>
.none {
  padding: 20px;
}
.page-parts {
  grid-template-columns: minmax(0, 1fr) 340px;
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: grid;
  gap: 10px;
}
legend {
  font-size: 13px;
  font-weight: 700;
  color: var(--soft);
  padding: 0 0 8px;
}
fieldset p {
  display: grid;
  grid-template-columns: 190px minmax(0, 1fr);
  gap: 2px 12px;
  align-items: baseline;
}
fieldset p:last-child {
  grid-template-columns: max-content max-content max-content;
}
fieldset label {
  font-weight: 650;
}
section p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 10px;
}
section {
  display: grid;
  gap: 8px;
}
section input {
  width: 70px;
}
.only {
  font-weight: 400;
}
.wrong {
  color: var(--broken);
  font-weight: 600;
}
input {
  accent-color: var(--violet);
}
@media (max-width: 700px) {
  fieldset p {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
