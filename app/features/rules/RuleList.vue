<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { usePlaybook } from '~/features/playbook/store';
import { useMatrix } from '~/features/matrix/store';
import { useSession } from '~/features/session/store';
import ImportFiles from '~/features/playbook/ImportFiles.vue';
import { shortName } from '~/features/playbook/keep';
import { newSchemeText } from '#core/language/new-scheme';
import { useRules } from './store';

const playbook = usePlaybook();
const session = useSession();
const rules = useRules();
const matrix = useMatrix();
const filter = ref('');

const starting = ref(false);
const name = ref('');
/** The play whose rules the new one begins with; empty for none. */
const from = ref('');
const short = computed(() => shortName(name.value));
const taken = computed(() => short.value !== '' && playbook.book.text('schemes', short.value) !== null);
async function begin(): Promise<void> {
  const source = from.value === '' ? null : playbook.book.text('schemes', from.value);
  const text = newSchemeText(short.value, name.value.trim(), source);
  if (await rules.attempt(() => playbook.add([{ shelf: 'schemes', text }]))) await navigateTo(`/rules/${short.value}`);
}

onMounted(matrix.open);
const sound = computed(() => new Map(matrix.rows.map((r) => [r.scheme, r])));
const families = computed(() => {
  const wanted = filter.value.toLowerCase();
  const all = playbook.book
    .list('schemes')
    .filter((e) => `${e.name} ${e.family} ${e.school ?? ''} ${e.id}`.toLowerCase().includes(wanted));
  return [...new Set(all.map((e) => e.family))].map((family) => ({
    family,
    plays: all.filter((e) => e.family === family),
  }));
});
const retired = computed(() => playbook.documents.filter((d) => d.shelf === 'schemes' && d.retired));
</script>

<template>
  <div class="list">
    <header>
      <h1>Rules</h1>
      <input v-model="filter" type="search" placeholder="find a play" aria-label="Find a play" />
      <p class="soft">
        {{ playbook.book.list('schemes').length }} plays; each keeps its rules for every front. Open one to read or
        rewrite it.
      </p>
      <button
        v-if="session.member?.role === 'coach'"
        class="plain link"
        type="button"
        :aria-expanded="starting"
        @click="starting = !starting"
      >
        New play
      </button>
      <ImportFiles v-if="session.member?.role === 'coach'" :attempt="rules.attempt" @problem="rules.problem = $event"
        >Import .chalk files</ImportFiles
      >
    </header>
    <form v-if="starting" class="new" aria-label="New play" @submit.prevent="begin">
      <label>Name <input v-model="name" required maxlength="60" placeholder="Power, our way" /></label>
      <label
        >begins as
        <select v-model="from" aria-label="Begins as">
          <option value="">the least there can be</option>
          <option v-for="e in playbook.book.list('schemes')" :key="e.id" :value="e.id">
            {{ e.school ? `${e.name} (${e.school})` : e.name }}
          </option>
        </select></label
      >
      <button class="plain link" type="submit" :disabled="!short || taken">Write its rules</button>
      <span v-if="taken" class="problem-inline">A play is called like that already.</span>
    </form>
    <p v-if="rules.problem" class="problem" role="alert">{{ rules.problem }}</p>
    <p v-if="!families.length" class="empty">No play is called like that.</p>
    <section v-for="f in families" :key="f.family">
      <h2>{{ f.family }}</h2>
      <ul>
        <li v-for="e in f.plays" :key="e.id">
          <NuxtLink :to="`/rules/${e.id}`">
            <b>{{ e.name }}</b><span class="soft school">{{ e.school ?? '' }}</span>
            <span class="strip" aria-hidden="true"
              ><i v-for="c in sound.get(e.id)?.cells ?? []" :key="c.front" :class="c.verdict.replace(' ', '-')"
            /></span>
            <span class="count"
              >{{ sound.get(e.id)?.sound ?? 0 }} of {{ sound.get(e.id)?.cells.length ?? 0 }} sound</span
            >
            <span class="mark"
              >{{ e.own ? 'your own' : '' }}{{ playbook.own('schemes', e.id)?.draft ? ', draft waiting' : '' }}</span
            >
          </NuxtLink>
        </li>
      </ul>
    </section>
    <section v-if="retired.length">
      <h2>Retired</h2>
      <ul>
        <li v-for="d in retired" :key="d.id" class="retired">
          <span>{{ d.slug }}</span>{{ ' ' }}
          <button class="plain link" type="button" @click="rules.attempt(() => playbook.shelve(d, { retired: false }))">
            bring it back
          </button>
        </li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  align-items: center;
  padding: 12px 20px;
  border-bottom: 1px solid var(--rule);
}
header p {
  flex: 1;
}
input[type='search'] {
  font: inherit;
  padding: 4px 8px;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
  width: 190px;
}
.new {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: center;
  padding: 10px 20px;
  border-bottom: 1px solid var(--rule);
  background: var(--wash);
}
.new input,
.new select {
  font: inherit;
  padding: 3px 7px;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
}
.new button:disabled {
  opacity: 0.45;
  cursor: default;
}
.problem-inline {
  color: var(--broken);
  font-weight: 600;
}
.problem {
  padding: 8px 20px;
  color: var(--broken);
  font-weight: 600;
}
.empty {
  padding: 30px 20px;
}
section {
  padding: 12px 20px 4px;
}
h2 {
  border-bottom: 2px solid var(--ink);
  padding-bottom: 3px;
  text-transform: capitalize;
}
li a {
  display: grid;
  grid-template-columns: minmax(190px, 1.3fr) minmax(120px, 1fr) 290px 118px 110px;
  gap: 12px;
  align-items: center;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
  color: var(--ink);
  text-decoration: none;
}
li a:hover b {
  color: var(--violet);
}
.school,
.count {
  font-size: 13px;
}
.strip {
  display: flex;
  gap: 3px;
}
.strip i {
  width: 7px;
  height: 14px;
  border: 1.5px solid var(--sound);
  border-radius: 4px;
}
.strip .at-risk {
  border-color: var(--risk);
  border-radius: 0;
  background: linear-gradient(135deg, transparent 45%, var(--risk) 45% 60%, transparent 60%);
}
.strip .broken {
  border-color: var(--broken);
  border-radius: 0;
  background: var(--broken);
}
.mark {
  color: var(--violet);
  font-size: 12.5px;
  font-weight: 600;
}
.retired {
  display: flex;
  gap: 14px;
  padding: 5px 0;
}
@media (max-width: 900px) {
  li a {
    grid-template-columns: 1fr auto;
  }
  .strip,
  .school,
  .mark {
    display: none;
  }
}
</style>
