<script setup lang="ts">
import { computed, onMounted, watch } from 'vue';
import { DimensionSchema, filterOfQuery, type BookFilter, type Dimension } from '#core/grade/book/dimensions';
import { sayYard } from '#core/grade/book/play-result';
import { useGrading } from '~/features/grading/store';
import { usePlaybook } from '~/features/playbook/store';
import { useSession } from '~/features/session/store';
import GainChart from './GainChart.vue';
import BookTable from './BookTable.vue';
import FilterWords from './FilterWords.vue';
import ResultTable from './ResultTable.vue';
import SpreadChart from './SpreadChart.vue';
import SnapsBehind from './SnapsBehind.vue';
import TrendChart from './TrendChart.vue';
import { saveCsv, saveSheet } from './save';
import { useBook } from './store';
import { gradesTable, playsTable } from './table';

const book = useBook();
const session = useSession();
const playbook = usePlaybook();
const grading = useGrading();
const route = useRoute();

/** The address says what is counted; changing it is how one looks at something else. */
const wanted = computed<{ by: Dimension; filter: BookFilter }>(() => ({
  by: DimensionSchema.safeParse(route.query.by).data ?? (session.staff ? 'man' : 'block'),
  filter: filterOfQuery(route.query),
}));
const go = (by: Dimension, filter: BookFilter): void => void navigateTo({ path: '/book', query: { by, ...filter } });
/** Without any word in the address this season is looked at, where there are others. */
onMounted(async () => {
  await grading.loadSeason();
  const { season } = grading;
  if (Object.keys(route.query).length === 0 && season && season.others > 0)
    return go(wanted.value.by, { season: [String(season.id)] });
  await book.look(wanted.value.by, wanted.value.filter);
});
watch(wanted, ({ by, filter }, old) => {
  if (route.path === '/book' && JSON.stringify({ by, filter }) !== JSON.stringify(old)) void book.look(by, filter);
});

const own = computed(() => playbook.program.faults ?? []);
const weighs = computed(() => playbook.settings.weighMisses === 'meant');
const table = computed(() => gradesTable(book.by, book.lines, own.value, weighs.value));
const games = computed(() => [...(book.trend?.lines ?? [])].sort((a, b) => a.label.localeCompare(b.label, 'en')));
const empty = computed(() => book.page !== null && book.page.total.marks === 0);
const isNarrowed = computed(() => Object.keys(book.filter).length > 0);
</script>

<template>
  <div class="place">
    <header>
      <h1 class="visually-hidden">{{ session.staff ? 'What the grades say' : 'Your grades' }}</h1>
      <FilterWords @look="go" />
      <NuxtLink v-if="session.staff" class="how" to="/book/grading">How we grade</NuxtLink>
      <p class="soft">
        Every percentage opens the snaps it was counted from. Marks nobody could give are left out of the base and
        counted beside it; the bar is the 95 % interval.
      </p>
    </header>
    <p v-if="book.problem" class="problem" role="alert">
      {{ book.problem }} Nothing is lost.
      <button class="plain link" type="button" @click="book.look(wanted.by, wanted.filter)">Try again</button>
    </p>
    <div class="work" :class="{ opened: book.opened }">
      <div class="tables" :aria-busy="book.loading">
        <p v-if="empty && isNarrowed">
          No grade is like that.
          <button class="plain link" type="button" @click="go(book.by, {})">Look at all of them</button>
        </p>
        <p v-else-if="empty">
          <template v-if="session.staff">
            Nothing is graded yet. <NuxtLink to="/film">Open Film</NuxtLink> and press Enter on a snap where everybody
            did his job.
          </template>
          <template v-else>No grades of yours have been published yet.</template>
        </p>
        <template v-else-if="book.page">
          <BookTable
            :by="book.page.by"
            :lines="book.lines"
            :total="book.page.total"
            :before="book.before?.lines ?? null"
            @open="book.open"
            @narrow="go(book.by, { ...book.filter, [book.by]: [$event.key] })"
          />
          <p v-if="book.page.more" class="soft">{{ book.page.more }} more lines are not shown: narrow it down.</p>
          <p class="out">
            <button class="plain link" type="button" @click="saveCsv(table)">this table as CSV</button>
            <button class="plain link" type="button" @click="saveSheet(table)">as a spreadsheet</button>
          </p>
          <SpreadChart
            :by="book.page.by"
            :lines="book.lines"
            @open="(line, title, part) => book.open(line, title, 'score', { earned: [part] })"
          />
          <TrendChart :lines="games" :pass-line="grading.passLine" />
          <template v-if="book.plays?.lines.length">
            <ResultTable
              :page="book.plays"
              :standard="playbook.settings"
              :filter="book.filter"
              @open="book.openPlays"
            />
            <p class="out">
              <button
                class="plain link"
                type="button"
                @click="saveCsv(playsTable(book.plays.by as Dimension, book.plays.lines))"
              >
                this table as CSV
              </button>
              <button
                class="plain link"
                type="button"
                @click="saveSheet(playsTable(book.plays.by as Dimension, book.plays.lines))"
              >
                as a spreadsheet
              </button>
            </p>
            <GainChart
              :gains="book.plays.gains"
              :standard="playbook.settings.standardYards"
              @open="(yard) => book.openPlays({ key: 'all' }, sayYard(yard), 'snaps', { yard: [String(yard)] })"
            />
          </template>
        </template>
        <p v-else-if="!book.problem" class="soft">Counting …</p>
      </div>
      <SnapsBehind v-if="book.opened" :opened="book.opened" />
    </div>
  </div>
</template>

<style scoped>
.place {
  display: flex;
  flex-direction: column;
  height: 100%;
}
header {
  padding: 10px 20px;
  border-bottom: 1px solid var(--rule);
  display: grid;
  gap: 4px;
}
header {
  position: relative;
}
.how {
  position: absolute;
  right: 20px;
  top: 14px;
  font-size: 13px;
}
.problem {
  padding: 10px 20px;
  color: var(--broken);
  font-weight: 600;
}
.work {
  flex: 1;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  min-height: 0;
}
.work.opened {
  grid-template-columns: minmax(0, 1fr) 290px;
}
.tables {
  container-type: inline-size;
  grid-template-columns: minmax(0, 1fr);
  padding: 14px 20px;
  display: grid;
  gap: 16px;
  align-content: start;
  overflow: auto;
}
.out {
  display: flex;
  gap: 16px;
  font-size: 13px;
}
@media (max-width: 800px) {
  .place {
    height: auto;
  }
  .work.opened {
    grid-template-columns: minmax(0, 1fr);
  }
  header {
    padding: 10px 12px;
  }
  .tables {
    padding: 12px;
  }
}
</style>
