<script setup lang="ts">
import { computed } from 'vue';
import { usePlaybook } from '~/features/playbook/store';
import { nameOfCall } from '#core/names/names';
import type { Naming } from '#core/model/naming';

const emit = defineEmits<{ change: [naming: Naming] }>();
const playbook = usePlaybook();
const naming = computed(() => playbook.naming);
const sample = computed(() => {
  const name = nameOfCall(naming.value, {
    scheme: 'power',
    side: 'right',
    formation: 'h-back',
    motion: null,
    tags: ['wrap'],
  });
  return name.ok ? name.value : '';
});
const PARTS = [
  { key: 'plays', shelf: 'schemes', says: 'Plays' },
  { key: 'formations', shelf: 'formations', says: 'Formations' },
] as const;
const rows = (key: 'plays' | 'formations', shelf: 'schemes' | 'formations') =>
  playbook.book.list(shelf).map((e) => ({ id: e.id, name: e.name, word: naming.value[key][e.id] ?? '' }));

function set(key: 'plays' | 'formations', id: string, word: string): void {
  const { [id]: _old, ...rest } = naming.value[key];
  emit('change', { ...naming.value, [key]: word.trim() ? { ...rest, [id]: word.trim() } : rest });
}
const setNumbers = (change: Partial<Naming['numbers']>): void =>
  emit('change', { ...naming.value, numbers: { ...naming.value.numbers, ...change } });
</script>

<template>
  <section>
    <h2>What a play is called</h2>
    <p>
      Calls are made of
      <select
        :value="naming.style"
        aria-label="Calls are made of"
        @change="emit('change', { ...naming, style: ($event.target as HTMLSelectElement).value as Naming['style'] })"
      >
        <option value="words">words</option>
        <option value="numbers">numbers</option>
      </select>
      <template v-if="naming.style === 'numbers'"
        >, even holes to the
        <select
          :value="naming.numbers.even"
          aria-label="Even holes"
          @change="setNumbers({ even: ($event.target as HTMLSelectElement).value as 'left' | 'right' })"
        >
          <option>right</option>
          <option>left</option>
        </select></template
      >:
      <b>“{{ sample }}”</b>
    </p>
    <details v-for="p in PARTS" :key="p.key" :open="p.key === 'plays'">
      <summary class="link">{{ p.says }}</summary>
      <ul>
        <li v-for="r in rows(p.key, p.shelf)" :key="r.id">
          <label
            ><span>{{ r.name }}</span
            >{{ ' ' }}
            <input
              v-typed
              :value="r.word"
              maxlength="30"
              placeholder="no word yet"
              @change="set(p.key, r.id, ($event.target as HTMLInputElement).value)"
          /></label>
        </li>
      </ul>
    </details>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 8px;
  align-content: start;
  grid-column: 1 / -1;
}
ul {
  columns: 2;
  gap: 30px;
  padding-top: 6px;
}
label {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding: 2px 0;
  font-size: 13px;
  border-bottom: 1px solid var(--rule);
  break-inside: avoid;
}
input,
select {
  font: inherit;
  padding: 1px 6px;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--rule);
  border-radius: 3px;
}
input {
  width: 150px;
}
summary {
  cursor: pointer;
}
</style>
