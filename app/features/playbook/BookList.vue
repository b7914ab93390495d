<script setup lang="ts">
import { computed, ref } from 'vue';
import { SHELF_KIND, type BookShelf } from '#core/calls/playbook';
import { usePlaybook } from './store';

const props = defineProps<{ shelf: BookShelf; current: string; label: string }>();
defineEmits<{ open: [id: string] }>();
const playbook = usePlaybook();
const filter = ref('');
const kind = SHELF_KIND[props.shelf];

/** The program's own by opponent, then what ships. */
const groups = computed(() => {
  const all = playbook.book
    .list(props.shelf)
    .filter((e) => `${e.name} ${e.id}`.toLowerCase().includes(filter.value.toLowerCase()));
  const of = (e: (typeof all)[number]): string =>
    e.own ? playbook.own(props.shelf, e.id)?.opponent || 'Our own' : 'Shipped';
  const names = [...new Set(all.map(of))].sort(
    (a, b) => Number(a === 'Shipped') - Number(b === 'Shipped') || a.localeCompare(b),
  );
  return names.map((name) => ({ name, entries: all.filter((e) => of(e) === name) }));
});
</script>

<template>
  <nav :aria-label="label">
    <input v-model="filter" type="search" :placeholder="`find a ${kind}`" :aria-label="`Find a ${kind}`" />
    <p v-if="!groups.length" class="soft">No {{ kind }} is called like that.</p>
    <template v-for="g in groups" :key="g.name">
      <h2>{{ g.name }}</h2>
      <ul>
        <li v-for="f in g.entries" :key="f.id">
          <button class="plain" type="button" :aria-current="f.id === current" @click="$emit('open', f.id)">
            {{ f.name }}
          </button>
        </li>
      </ul>
    </template>
  </nav>
</template>

<style scoped>
nav {
  border-right: 1px solid var(--rule);
  overflow: auto;
  padding: 10px 0 20px;
  display: grid;
  gap: 2px;
  align-content: start;
}
input {
  font: inherit;
  margin: 0 12px 6px;
  padding: 3px 8px;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
  min-width: 0;
}
h2,
p {
  padding: 8px 14px 2px;
}
li button {
  width: 100%;
  padding: 3px 14px;
  font-size: 13.5px;
  border-left: 3px solid transparent;
  line-height: 1.25;
}
li button:hover {
  color: var(--violet);
}
[aria-current='true'] {
  background: var(--wash);
  border-left-color: var(--violet);
  font-weight: 650;
}
</style>
