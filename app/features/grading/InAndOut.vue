<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { computed, ref } from 'vue';
import { readRecords, type ReadGrades } from '#core/grade/read-records';
import { SnapItemSchema } from '#core/model/game';
import { readTable } from '~/features/log/tables';
import { useMarks } from '~/features/marks/store';
import { usePlaybook } from '~/features/playbook/store';
import TwoVersions from '~/features/pad/TwoVersions.vue';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';
import { useGradeImport } from './import';
import { allRecords, WAYS_OUT, type WayOut } from './records';
import { useGrading } from './store';
import { sayTakeBack, sayTakenBack, sayWritten } from './words';

/** Grades out as open formats, and in from a table: tried first, and nothing is written until somebody says so. */
const grading = useGrading();
const playbook = usePlaybook();
const box = useMarks();
const table = useGradeImport();
const problem = ref('');
const attempt = attempting(problem);
const progress = ref('');
const own = computed(() => playbook.program.faults ?? []);

const out = (way: WayOut): Promise<boolean> =>
  attempt(async () => {
    const records = await allRecords(null, (done, total) => (progress.value = `${done} of ${total}`));
    await WAYS_OUT[way](records, own.value);
    progress.value = '';
  });

const game = ref<number | null>(null);
const read = ref<ReadGrades | null>(null);
const written = ref('');
async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  read.value = null;
  written.value = '';
  if (!file || game.value === null) return;
  const { table: found, problem: trouble } = await readTable(file, MOST_MARKS);
  problem.value = trouble;
  if (!found) return;
  await attempt(async () => {
    const snaps = (await request<unknown[]>(`/api/games/${game.value}/snaps`)).map((s) => SnapItemSchema.parse(s));
    const rubric = grading.season!.rubric;
    read.value = readRecords(found.headings, found.rows, { snaps, rubric, own: own.value });
  });
}
const MOST_MARKS = { rows: 4400, of: 'marks' };

const write = (): Promise<boolean> =>
  attempt(async () => {
    const { grades } = read.value!;
    await table.write(grades);
    written.value = sayWritten(grades.length, box.onItsWay.length, box.aside.length);
    read.value = null;
    await grading.load();
  });
/** Only what the server has can be compared with what stands there now. */
const mayTakeBack = computed(() => table.written.length > 0 && box.onItsWay.length === 0);
const takeBack = (): Promise<boolean> =>
  attempt(async () => {
    const { back, stay } = await table.takeBack();
    written.value = sayTakenBack(back, stay);
    await grading.load();
  });
</script>

<template>
  <div class="inout">
    <h2>Out and in</h2>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <p class="ways">
      <span>All grades as</span>
      <button v-for="(_, way) in WAYS_OUT" :key="way" class="plain link" type="button" @click="out(way)">
        {{ way }}
      </button>
      <span v-if="progress" class="soft" role="status">{{ progress }}</span>
    </p>
    <p class="ways">
      <label
        >Grades of
        <select v-model="game" class="field">
          <option :value="null">which game?</option>
          <option v-for="g in grading.games" :key="g.id" :value="g.id">week {{ g.week }}, {{ g.opponent }}</option>
        </select></label
      >
      <label v-if="game !== null" class="link"
        >from a table <input class="visually-hidden" type="file" accept=".csv,.txt,.tsv" @change="take"
      /></label>
      <span v-if="written" role="status">{{ written }}</span>
      <button v-if="mayTakeBack" class="plain link" type="button" @click="takeBack">
        {{ sayTakeBack(table.written.length) }}
      </button>
    </p>
    <TwoVersions v-if="box.aside.length" />
    <template v-if="read">
      <p>
        <b>{{ howMany(read.grades.length, 'mark') }} can be read.</b>
        {{ read.problems.length ? `${read.problems.length} cells cannot; their rows would be left out.` : '' }} Nothing
        is written yet.
      </p>
      <ul v-if="read.problems.length">
        <li v-for="(p, i) in read.problems.slice(0, 40)" :key="i">Row {{ p.row }}, {{ p.heading }}: {{ p.says }}.</li>
      </ul>
      <p class="ways">
        <button v-if="read.grades.length" class="plain link" type="button" @click="write">
          write {{ howMany(read.grades.length, 'mark') }}
        </button>
        <button class="plain link" type="button" @click="read = null">leave it</button>
      </p>
    </template>
  </div>
</template>

<style scoped>
.inout {
  display: grid;
  gap: 6px;
  padding-top: 10px;
  font-size: 13px;
}
.ways {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: baseline;
}
.problem {
  color: var(--broken);
}
ul {
  max-height: 200px;
  overflow: auto;
}
label.link {
  color: var(--violet);
  text-decoration: underline;
  cursor: pointer;
}
label.link:focus-within {
  outline: 2px solid var(--violet);
}
</style>
