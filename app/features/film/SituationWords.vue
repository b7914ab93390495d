<script setup lang="ts">
import type { Situation } from '#core/model/snap';

defineProps<{ situation: Situation; readOnly: boolean }>();
const emit = defineEmits<{ change: [part: Partial<Situation>] }>();

const ORDINALS = ['1st', '2nd', '3rd', '4th'] as const;
const HASHES = { left: 'left hash', middle: 'middle', right: 'right hash' } as const;
const QUARTERS = ['1st quarter', '2nd quarter', '3rd quarter', '4th quarter', 'overtime'] as const;
const signed = (n: number): string => (n > 0 ? `+${n}` : n < 0 ? `−${-n}` : '0');
const said = ({ down, distance, hash, gain }: Situation): string =>
  `${ORDINALS[down - 1]} and ${distance}, ${HASHES[hash]}, gained ${signed(gain)}`;

/** A number that is none, or out of its range, brings the old one back. */
function number(event: Event, key: 'distance' | 'gain', was: number): void {
  const input = event.target as HTMLInputElement;
  const value = input.valueAsNumber;
  if (Number.isInteger(value) && input.validity.valid) emit('change', { [key]: value });
  else input.value = String(was);
}
const chosen = (event: Event): string => (event.target as HTMLSelectElement).value;
</script>

<template>
  <span v-if="readOnly" class="soft">{{ said(situation) }}</span>
  <div v-else class="situation" role="group" aria-label="Situation">
    <select
      :value="situation.quarter"
      aria-label="Quarter"
      @change="emit('change', { quarter: Number(chosen($event)) })"
    >
      <option v-for="(q, i) in QUARTERS" :key="q" :value="i + 1">{{ q }}</option>
    </select>
    <select :value="situation.down" aria-label="Down" @change="emit('change', { down: Number(chosen($event)) })">
      <option v-for="(o, i) in ORDINALS" :key="o" :value="i + 1">{{ o }}</option>
    </select>
    and
    <input
      type="number"
      min="1"
      max="99"
      :value="situation.distance"
      aria-label="Distance"
      @change="number($event, 'distance', situation.distance)"
    />
    <select
      :value="situation.hash"
      aria-label="Hash"
      @change="emit('change', { hash: chosen($event) as Situation['hash'] })"
    >
      <option v-for="(name, hash) in HASHES" :key="hash" :value="hash">{{ name }}</option>
    </select>
    gained
    <input
      type="number"
      min="-99"
      max="99"
      :value="situation.gain"
      aria-label="Gained"
      @change="number($event, 'gain', situation.gain)"
    />
  </div>
</template>

<style scoped>
.situation {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 6px;
  align-items: baseline;
  font-size: 13.5px;
  color: var(--soft);
}
select,
input {
  font: inherit;
  color: var(--ink);
  background: transparent;
  border: 0;
  border-bottom: 1px solid var(--violet);
  padding: 1px 0;
}
select option {
  background: var(--sheet);
}
input {
  width: 44px;
  text-align: right;
}
</style>
