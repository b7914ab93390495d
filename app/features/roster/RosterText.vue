<script setup lang="ts">
import { computed, ref } from 'vue';
import { placesOf } from '#core/roster/player';
import { readText, TABLE_FILES } from '~/features/log/read-text';
import { tryRoster } from './lines';
import { useRoster } from './store';

/** Men typed or pasted, one a line, tried as they are written; nothing is kept until somebody says so. */
const roster = useRoster();
const problem = ref('');
const tried = computed(() => tryRoster(roster.draft, roster.players));
const EXAMPLE = '61, Anselm Rook, RG\n55 Jory Pell C/G\nor a whole table with heads: number, name, position';
/** Larger than any roster. */
const LARGEST = 200_000;

async function pick([file]: readonly File[]): Promise<void> {
  const text = file && file.size <= LARGEST ? await readText(file) : null;
  problem.value =
    text === null ? `${file?.name} is no table of men: save it as CSV, in UTF-8. Nothing was changed.` : '';
  if (text !== null) roster.draft = text;
}
async function add(): Promise<void> {
  const men = tried.value.players.map(({ line: _, ...p }) => p);
  const written = roster.draft;
  // What is written meanwhile stays.
  if ((await roster.add(men)) && roster.draft === written) roster.draft = '';
}
const says = computed(() => {
  const { players, problems, known } = tried.value;
  const parts = [`${players.length} to be added`];
  if (known) parts.push(`${known} there already`);
  if (problems.length) parts.push(`${problems.length} cannot be read`);
  return parts.join(', ');
});
</script>

<template>
  <section class="text" aria-label="More men">
    <label for="roster-text">One man a line: number, name, where he plays</label>
    <textarea
      id="roster-text"
      v-model="roster.draft"
      class="field"
      rows="6"
      :placeholder="EXAMPLE"
      spellcheck="false"
    />
    <p class="acts">
      <FilePick label="Roster as a table" :accept="TABLE_FILES" @picked="pick">or choose a CSV file</FilePick>
      <span v-if="roster.draft.trim()" role="status">{{ says }}</span>
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <ul v-if="tried.problems.length" class="problems">
      <li v-for="p in tried.problems" :key="p.line">Line {{ p.line }}: {{ p.says }}.</li>
    </ul>
    <ol v-if="tried.players.length" class="men">
      <li v-for="p in tried.players" :key="p.line">
        <b>{{ p.number }}</b> {{ p.name }}
        <span class="soft">{{ placesOf(p).join(' ') }} {{ p.defence ? `and ${p.defence}` : '' }}</span>
      </li>
    </ol>
    <button class="strong" type="button" :disabled="tried.players.length === 0" @click="add">
      {{ tried.players.length === 1 ? 'Add him' : `Add ${tried.players.length || 'them'}` }}
    </button>
  </section>
</template>

<style scoped>
.text {
  display: grid;
  gap: 8px;
  justify-items: start;
  align-content: start;
}
label {
  font-size: 13px;
  font-weight: 600;
}
textarea {
  width: 100%;
  max-width: 560px;
  font: inherit;
  resize: vertical;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
.problem,
.problems {
  color: var(--broken);
}
.men {
  columns: 2 220px;
  max-width: 560px;
  width: 100%;
  font-size: 13px;
}
</style>
