<script setup lang="ts">
import { whenever } from '@vueuse/core';
import { computed, ref } from 'vue';
import { cutOfQuery, hasOptions, isEmptyCut, optionsOf, type Cut } from '#core/film/log/cut';
import { CUT_FIELDS, CUT_KEYS, type CutField } from '#core/film/log/cut-fields';
import type { SnapItem } from '#core/model/game';
import { useCuts } from './store';
import { sayCut, sayField, sayValue } from './words';

/** Which snaps are looked at: word by word, or a cut that was kept. */
const props = defineProps<{ cut: Cut; snaps: readonly SnapItem[]; count: number }>();
const emit = defineEmits<{ change: [cut: Cut] }>();
const cuts = useCuts();
/** Kept cuts are asked for once there is something to cut: the film comes first. */
whenever(
  () => props.snaps.length > 0,
  () => void cuts.load(),
  { immediate: true, once: true },
);

const given = computed(() => CUT_KEYS.filter((key) => props.cut[key]));
const field = ref<CutField | ''>('');
const options = computed(() => (field.value ? optionsOf(field.value, props.cut, props.snaps) : []));
/** Fields that would tell snaps apart. */
const fields = computed(() => CUT_KEYS.filter((key) => !props.cut[key] && hasOptions(key, props.cut, props.snaps)));
const current = computed(() => cuts.kept.find((c) => JSON.stringify(c.cut) === JSON.stringify(props.cut)) ?? null);

function only(value: string): void {
  if (!field.value || !value) return;
  emit('change', { ...props.cut, [field.value]: [value] });
  field.value = '';
}
function without(key: CutField): void {
  const rest = { ...props.cut };
  delete rest[key];
  emit('change', rest);
}
const open = (id: string): void => {
  const found = cuts.kept.find((c) => c.id === Number(id));
  emit('change', found ? cutOfQuery(found.cut) : {});
};
const naming = ref(false);
const name = ref('');
function begin(): void {
  naming.value = true;
  name.value = sayCut(props.cut).slice(0, 80);
}
async function keep(): Promise<void> {
  if (await cuts.keep(name.value.trim(), props.cut)) naming.value = false;
}
const chosen = (event: Event): string => (event.target as HTMLSelectElement).value;
</script>

<template>
  <section class="cut" aria-label="Cut">
    <p v-if="given.length" class="said">
      <button
        v-for="key in given"
        :key="key"
        class="plain word"
        type="button"
        :title="`${CUT_FIELDS[key].name}: take it away`"
        :aria-label="`${CUT_FIELDS[key].name}, ${sayField(key, cut[key]!)}: take it away`"
        @click="without(key)"
      >
        {{ sayField(key, cut[key]!) }}
      </button>
    </p>
    <p class="choose">
      <select v-model="field" aria-label="Only those by">
        <option value="">only those by …</option>
        <option v-for="key in fields" :key="key" :value="key">{{ CUT_FIELDS[key].name }}</option>
      </select>
      <select v-if="field" :value="''" :aria-label="CUT_FIELDS[field].name" @change="only(chosen($event))">
        <option value="">which?</option>
        <option v-for="o in options" :key="o.value" :value="o.value" :disabled="o.snaps === 0">
          {{ sayValue(field, o.value) }} ({{ o.snaps }})
        </option>
      </select>
    </p>
    <p v-if="cuts.kept.length" class="choose">
      <select :value="current?.id ?? ''" aria-label="Kept cut" @change="open(chosen($event))">
        <option value="">{{ isEmptyCut(cut) || current ? 'all of them' : 'a kept cut' }}</option>
        <option v-for="c in cuts.kept" :key="c.id" :value="c.id">{{ c.name }}</option>
      </select>
      <button v-if="current" class="plain link" type="button" @click="cuts.remove(current.id)">drop it</button>
    </p>
    <form v-if="naming" class="choose" @submit.prevent="keep">
      <input v-model="name" maxlength="80" required aria-label="Name of the cut" />
      <button class="plain link" type="submit">keep</button>
      <button class="plain link" type="button" @click="naming = false">leave it</button>
    </form>
    <p v-else-if="given.length" class="choose">
      <button v-if="!current" class="plain link" type="button" @click="begin">keep this cut</button>
      <button class="plain link" type="button" @click="emit('change', {})">all snaps</button>
    </p>
    <p v-if="cuts.problem" class="problem" role="alert">{{ cuts.problem }}</p>
    <p v-if="!count" class="problem" role="status">No snap is like that.</p>
  </section>
</template>

<style scoped>
.cut {
  padding: 6px 14px;
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
}
.said,
.choose {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  padding: 0;
}
.word {
  padding: 0 6px;
  background: var(--wash);
  border-bottom: 2px solid var(--violet);
  font-variation-settings: var(--narrow);
}
.word:hover {
  text-decoration: line-through;
}
select,
input {
  max-width: 100%;
  min-width: 0;
  max-width: 100%;
  font: inherit;
  font-size: 12.5px;
  color: var(--ink);
  background: var(--sheet);
  border: 0;
  border-bottom: 1px solid var(--violet);
}
.problem {
  color: var(--risk);
}
</style>
