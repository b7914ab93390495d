<script setup lang="ts">
import { RESULTS, type Penalty, type Situation, type SnapResult } from '#core/model/snap';
import { sayOutcome } from './words';

/** What came of a snap, each word of it to be changed. */
const props = defineProps<{ situation: Situation; readOnly: boolean; throws: boolean }>();
const emit = defineEmits<{ change: [part: Partial<Situation>] }>();

const NO_FLAG: Penalty = { what: '', on: 'us', yards: 10, again: true };
const flag = (part: Partial<Penalty>): void =>
  emit('change', { penalty: { ...(props.situation.penalty ?? NO_FLAG), ...part } });
function gained(event: Event): void {
  const input = event.target as HTMLInputElement;
  const value = input.valueAsNumber;
  if (Number.isInteger(value) && input.validity.valid) emit('change', { gain: value });
  else input.value = String(props.situation.gain);
}
/** Yards before contact may stay open: an empty field says that nobody has looked. */
function touched(event: Event): void {
  const input = event.target as HTMLInputElement;
  if (!input.validity.valid) input.value = String(props.situation.beforeContact ?? '');
  else emit('change', { beforeContact: input.value === '' ? null : input.valueAsNumber });
}
function yards(event: Event): void {
  const input = event.target as HTMLInputElement;
  if (Number.isInteger(input.valueAsNumber) && input.validity.valid) flag({ yards: input.valueAsNumber });
  else input.value = String(props.situation.penalty?.yards ?? 0);
}
const chosen = (event: Event): string => (event.target as HTMLSelectElement).value;
</script>

<template>
  <span v-if="readOnly" class="soft">{{ sayOutcome(situation) }}</span>
  <div v-else class="words" role="group" aria-label="What came of it">
    gained
    <input v-typed type="number" min="-99" max="99" :value="situation.gain" aria-label="Gained" @change="gained" />
    <template v-if="!throws"
      >touched after
      <input
        v-typed
        type="number"
        min="-99"
        max="99"
        step="1"
        :value="situation.beforeContact"
        placeholder="–"
        aria-label="Yards before contact"
        title="Yards the runner had before anybody of theirs touched him; empty when nobody has looked"
        @change="touched"
    /></template>
    <select
      :value="situation.result"
      aria-label="Result"
      @change="emit('change', { result: chosen($event) as SnapResult })"
    >
      <option v-for="r in RESULTS" :key="r">{{ r }}</option>
    </select>
    <template v-if="situation.penalty">
      flag for
      <input
        v-typed
        class="what"
        :value="situation.penalty.what"
        maxlength="60"
        placeholder="what?"
        aria-label="Flag"
        @change="flag({ what: ($event.target as HTMLInputElement).value.trim() })"
      />
      on
      <select
        :value="situation.penalty.on"
        aria-label="Flag on"
        @change="flag({ on: chosen($event) as Penalty['on'] })"
      >
        <option>us</option>
        <option>them</option>
      </select>
      <input
        v-typed
        type="number"
        min="0"
        max="99"
        :value="situation.penalty.yards"
        aria-label="Flag yards"
        @change="yards"
      />
      yards,
      <label
        ><input
          type="checkbox"
          :checked="situation.penalty.again"
          @change="flag({ again: ($event.target as HTMLInputElement).checked })"
        />
        down again</label
      >
      <button class="plain link" type="button" @click="emit('change', { penalty: null })">no flag</button>
    </template>
    <button v-else class="plain link" type="button" @click="flag({})">a flag</button>
  </div>
</template>

<style scoped src="./words.css"></style>
<style scoped>
.what {
  width: 96px;
  text-align: left;
}
input[type='checkbox'] {
  width: auto;
}
</style>
