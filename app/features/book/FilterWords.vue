<script setup lang="ts">
import { computed, ref } from 'vue';
import { DIMENSIONS, DIMENSION_IDS, type BookFilter, type Dimension } from '#core/grade/book/dimensions';
import { releaseFocus } from '~/features/hands/in-field';
import { useSession } from '~/features/session/store';
import { useBook, without } from './store';
import { narrowedBy, sayKey } from './words';

/** What is counted and of which grades, as a sentence whose words are the controls. */
const emit = defineEmits<{ look: [by: Dimension, filter: BookFilter] }>();
const book = useBook();
const session = useSession();

const ways = computed(() =>
  DIMENSION_IDS.filter((d) => session.staff || d !== 'man').map((id) => ({ id, name: DIMENSIONS[id].name })),
);
const given = computed(() => narrowedBy(book.filter));
const saidOf = (key: Dimension): string =>
  (book.filter[key] ?? [])
    .map((v) => sayKey(key, { key: v, label: book.page?.names[`${key} ${v}`] ?? v }))
    .join(' or ');

const of = ref<Dimension | ''>('');
function narrowTo(event: Event): void {
  const value = (event.target as HTMLSelectElement).value;
  if (of.value && value) emit('look', book.by, { ...book.filter, [of.value]: [value] });
  of.value = '';
  releaseFocus();
}
</script>

<template>
  <div class="sentence" role="group" aria-label="What is counted">
    <span>{{ session.staff ? 'What the grades say by' : 'Your grades by' }}</span>
    <WordSelect
      :value="book.by"
      :options="ways"
      label="Counted by"
      filter
      @choose="emit('look', $event as Dimension, book.filter)"
    />
    <span v-if="given.length">of</span>
    <button
      v-for="key in given"
      :key="key"
      class="plain word"
      type="button"
      :title="`${DIMENSIONS[key].name}: take it away`"
      :aria-label="`${DIMENSIONS[key].name}, ${saidOf(key)}: take it away`"
      @click="emit('look', book.by, without(book.filter, key))"
    >
      {{ saidOf(key) }} <span aria-hidden="true">✕</span>
    </button>
    <select v-model="of" class="field" aria-label="Only those by" @change="book.choose(of || null)">
      <option value="">only those by …</option>
      <option v-for="d in ways" :key="d.id" :value="d.id">{{ d.name }}</option>
    </select>
    <select
      v-if="of && book.choices?.of === of"
      class="field"
      :value="''"
      :aria-label="DIMENSIONS[of].name"
      @change="narrowTo"
    >
      <option value="">{{ book.choices.values.length ? 'which?' : 'there is none' }}</option>
      <option v-for="c in book.choices.values" :key="c.key" :value="c.key">{{ sayKey(of, c) }} ({{ c.marks }})</option>
    </select>
  </div>
</template>

<style scoped>
.sentence {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: center;
  font-size: 16px;
}
.word {
  padding: 0 6px;
  background: var(--wash);
  border-bottom: 2px solid var(--violet);
}
.word:hover {
  text-decoration: line-through;
}
select {
  font-size: 13px;
}
</style>
