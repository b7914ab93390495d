<script setup lang="ts">
import { readFieldPlace, sayFieldPlace } from '#core/film/log/field-place';
import type { Situation } from '#core/model/snap';
import { ref, watch } from 'vue';
import { DOWNS, HASHES, QUARTERS } from './words';

/** What a snap began with, each word of it to be changed. */
const props = defineProps<{ situation: Situation; readOnly: boolean }>();
const emit = defineEmits<{ change: [part: Partial<Situation>] }>();

const placeProblem = ref('');
watch(
  () => props.situation,
  () => (placeProblem.value = ''),
);
function said({ down, distance, toGoal, hash }: Situation): string {
  const place = sayFieldPlace(toGoal);
  return `${DOWNS[down - 1]} and ${distance}${place ? ` on ${place}` : ''}, ${HASHES[hash]}`;
}
/** A number that is none, or out of its range, brings the old one back. */
function number(event: Event, key: 'distance' | 'series', was: number): void {
  const input = event.target as HTMLInputElement;
  const value = input.valueAsNumber;
  if (Number.isInteger(value) && input.validity.valid) emit('change', { [key]: value });
  else input.value = String(was);
}
function place(event: Event): void {
  const read = readFieldPlace((event.target as HTMLInputElement).value);
  placeProblem.value = read.ok ? '' : `${read.problem}.`;
  if (read.ok) emit('change', { toGoal: read.toGoal });
}
const chosen = (event: Event): string => (event.target as HTMLSelectElement).value;
</script>

<template>
  <span v-if="readOnly" class="soft">{{ said(situation) }}</span>
  <div v-else class="words" role="group" aria-label="Situation">
    <select
      :value="situation.quarter"
      aria-label="Quarter"
      @change="emit('change', { quarter: Number(chosen($event)) })"
    >
      <option v-for="(q, i) in QUARTERS" :key="q" :value="i + 1">{{ q }}</option>
    </select>
    series
    <input
      v-typed
      type="number"
      min="1"
      max="60"
      :value="situation.series"
      aria-label="Series"
      @change="number($event, 'series', situation.series)"
    />
    <select :value="situation.down" aria-label="Down" @change="emit('change', { down: Number(chosen($event)) })">
      <option v-for="(o, i) in DOWNS" :key="o" :value="i + 1">{{ o }}</option>
    </select>
    and
    <input
      v-typed
      type="number"
      min="1"
      max="99"
      :value="situation.distance"
      aria-label="Distance"
      @change="number($event, 'distance', situation.distance)"
    />
    on
    <input
      v-typed
      class="place"
      :value="sayFieldPlace(situation.toGoal)"
      placeholder="own 35"
      aria-label="Ball on"
      :aria-invalid="placeProblem !== ''"
      @change="place"
    />
    <select
      :value="situation.hash"
      aria-label="Hash"
      @change="emit('change', { hash: chosen($event) as Situation['hash'] })"
    >
      <option v-for="(name, hash) in HASHES" :key="hash" :value="hash">{{ name }}</option>
    </select>
    <span v-if="placeProblem" class="problem" role="alert">{{ placeProblem }}</span>
  </div>
</template>

<style scoped src="./words.css"></style>
<style scoped>
.place {
  width: 78px;
  text-align: left;
}
</style>
