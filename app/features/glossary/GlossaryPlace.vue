<script setup lang="ts">
import { computed, ref } from 'vue';
import { findIn, glossary } from '#core/reports/glossary';
import { upperFirst } from '~/features/board/words';
import { usePlaybook } from '~/features/playbook/store';

/** What every word here means, in this program's own words. */
const playbook = usePlaybook();
const text = ref('');
const all = computed(() => glossary({ words: playbook.words, faults: playbook.program.faults ?? [] }));
const shown = computed(() => findIn(all.value, text.value));
</script>

<template>
  <div class="place">
    <header class="page-head">
      <h1>What the words mean</h1>
      <p class="soft">
        <kbd>?</kbd> brings you here from everywhere; on film it lists the keys. Change your own words under
        <NuxtLink to="/team/words">Team</NuxtLink>.
      </p>
      <input v-model="text" class="field" type="search" placeholder="find a word" aria-label="Find a word" autofocus />
    </header>
    <p v-if="shown.length === 0" class="none">No word here has “{{ text }}” in it or in what it means.</p>
    <section v-for="g in shown" :key="g.name" :aria-label="g.name">
      <h2>{{ g.name }}</h2>
      <dl>
        <div v-for="e in g.entries" :key="e.term">
          <dt>{{ g.name.startsWith('In rules') ? e.term : upperFirst(e.term) }}</dt>
          <dd>{{ upperFirst(e.says) }}</dd>
        </div>
      </dl>
    </section>
  </div>
</template>

<style scoped>
.page-head {
  display: grid;
  gap: 6px;
  justify-items: start;
}
.none {
  padding: 16px 20px;
}
section {
  padding: 14px 20px 4px;
}
dl {
  columns: 2 380px;
  column-gap: 40px;
}
dl > div {
  break-inside: avoid;
  border-bottom: 1px solid var(--rule);
  padding: 5px 0;
}
dt {
  font-weight: 650;
}
dd {
  font-size: 13px;
}
</style>
