<script setup lang="ts">
import { computed, ref } from 'vue';
import { usePlaybook } from '~/features/playbook/store';
import { useMatrix } from '~/features/matrix/store';
import { useSession } from '~/features/session/store';
import ImportFiles from '~/features/playbook/ImportFiles.vue';
import { useRules } from './store';

const playbook = usePlaybook();
const session = useSession();
const rules = useRules();
const matrix = useMatrix();
const filter = ref('');

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
      <ImportFiles v-if="session.member?.role === 'coach'" :attempt="rules.attempt" @problem="rules.problem = $event"
        >Import .chalk files</ImportFiles
      >
    </header>
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
