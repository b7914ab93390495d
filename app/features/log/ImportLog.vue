<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { computed, ref, shallowRef } from 'vue';
import { COLUMN_KEYS, columnOf, type ColumnKey } from '#core/film/log/columns';
import { matchColumns, readSheet } from '#core/film/log/sheet';
import { usePlaybook } from '~/features/playbook/store';
import { firstCall, knownOf } from './book-of-calls';
import { sayAffected, useLog } from './store';
import { TABLE_FILES } from './read-text';
import { readTable, type Table } from './tables';

const emit = defineEmits<{ done: [] }>();
const log = useLog();
const playbook = usePlaybook();
const table = shallowRef<Table | null>(null);
const columns = ref<(ColumnKey | null)[]>([]);
const name = ref('');
const problem = ref('');
/** What the server said a trial would do; asked again whenever a column is another one. */
const trial = ref('');
const warning = ref('');

async function pick([file]: readonly File[]): Promise<void> {
  if (!file) return;
  const read = await readTable(file);
  problem.value = read.problem;
  table.value = read.table;
  name.value = file.name;
  trial.value = '';
  columns.value = read.table ? matchColumns(read.table.headings) : [];
}
function setColumn(at: number, key: string): void {
  columns.value = columns.value.map((was, i) =>
    i === at ? ((key || null) as ColumnKey | null) : was === key ? null : was,
  );
  trial.value = '';
}
const read = computed(() =>
  table.value
    ? readSheet(table.value.headings, table.value.rows, columns.value, {
        known: knownOf(playbook),
        log: log.log,
        first: firstCall(playbook),
      })
    : null,
);
const shownProblems = computed(() => read.value?.problems.slice(0, 12) ?? []);
const moreProblems = computed(() => (read.value?.problems.length ?? 0) - shownProblems.value.length);

async function check(): Promise<void> {
  const answer = await log.tryEntries(read.value!.entries);
  if (!answer) return;
  const count = (n: number, what: string): string => `${howMany(n, 'snap')} ${what}`;
  trial.value = `${count(answer.added.length, 'would be added')}, ${count(answer.changed.length, 'changed')}. Nothing is written yet.`;
  warning.value = answer.affected.length ? sayAffected(answer.affected) : '';
}
async function write(): Promise<void> {
  if (!(await log.writeEntries(read.value!.entries))) return;
  table.value = null;
  emit('done');
}
</script>

<template>
  <section class="import" aria-label="A log from a table">
    <p v-if="!table" class="acts">
      <FilePick label="Log as a table" :accept="TABLE_FILES" look="strong" @picked="pick">Choose a CSV file</FilePick>
      <span class="soft"
        >One row a snap, the first row says what the columns are. It is tried first; nothing is written until you say
        so.</span
      >
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <div v-if="table && read" class="sheet">
      <p>
        <b>{{ name }}</b>, {{ howMany(table.rows.length, 'row') }}. Say what each column is; the rest is left out.
      </p>
      <ul class="columns">
        <li v-for="(h, i) in table.headings" :key="i">
          <span>{{ h || `column ${i + 1}` }}</span>
          <select
            :value="columns[i] ?? ''"
            :aria-label="`Column ${h || i + 1} is`"
            @change="setColumn(i, ($event.target as HTMLSelectElement).value)"
          >
            <option value="">left out</option>
            <option v-for="k in COLUMN_KEYS" :key="k" :value="k">{{ columnOf(k).heading.toLowerCase() }}</option>
          </select>
          <span class="soft">{{ table.rows[0]![i] }}</span>
        </li>
      </ul>
      <ul v-if="shownProblems.length" class="problems">
        <li v-for="p in shownProblems" :key="`${p.row} ${p.heading}`">
          Row {{ p.row }}, {{ p.heading }}: {{ p.says }}.
        </li>
        <li v-if="moreProblems > 0">And {{ moreProblems }} more. Rows with one are left out.</li>
      </ul>
      <p class="acts">
        <button class="strong" type="button" :disabled="read.entries.length === 0" @click="trial ? write() : check()">
          {{ trial ? 'Write' : 'Try' }} {{ howMany(read.entries.length, 'snap') }}
        </button>
        <span v-if="trial" role="status">{{ trial }}</span>
        <button class="plain link" type="button" @click="table = null">Leave it</button>
      </p>
      <p v-if="trial && warning" class="warning" role="alert">{{ warning }}</p>
    </div>
  </section>
</template>

<style scoped>
.sheet {
  display: grid;
  gap: 8px;
  padding: 10px 18px;
  margin: 6px 0;
  border-left: 4px solid var(--rule);
}
.columns {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(210px, 1fr));
  gap: 6px 18px;
  font-size: 13px;
}
.columns li {
  display: grid;
}
.problem,
.problems {
  color: var(--broken);
}
.warning {
  color: var(--risk);
  font-weight: 600;
}
.acts {
  display: flex;
  gap: 14px;
  align-items: center;
}
</style>
