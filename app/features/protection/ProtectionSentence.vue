<script setup lang="ts">
import { computed } from 'vue';
import type { Side } from '#core/model/side';
import { usePlaybook } from '~/features/playbook/store';
import { useProtection, type ProtectionCall } from './store';

const p = useProtection();
const playbook = usePlaybook();
const sides = [
  { id: 'left', name: 'left' },
  { id: 'right', name: 'right' },
];
const fronts = computed(() =>
  playbook.fronts.some((f) => f.id === p.call.front)
    ? playbook.fronts
    : [...playbook.fronts, { id: p.call.front, name: 'own front' }],
);
const formations = computed(() =>
  playbook.formations.some((f) => f.id === p.call.formation)
    ? playbook.formations
    : [...playbook.formations, { id: p.call.formation, name: 'own formation' }],
);
/** Anybody near enough to come can be counted from: linebackers first, then the line, then who stands outside. */
const mikes = computed(() => {
  const found = p.resolution?.identification;
  const near = (found?.techniques ?? []).filter((t) => t.level < 3);
  const order = [
    ...(found?.linebackers.ids ?? []),
    ...near.filter((t) => t.level === 1).map((t) => t.id),
    ...near.map((t) => t.id),
  ];
  return [{ id: '', name: 'as worked out' }, ...[...new Set(order)].map((id) => ({ id, name: id }))];
});
const set = (change: Partial<ProtectionCall>): void => p.setUp({ ...p.call, ...change });
const protect = (id: string): void =>
  set({
    scheme: id,
    formation: p.protections.find((x) => x.id === id)?.from ?? p.call.formation,
    tags: [],
    without: [],
  });
const verdict = computed(() => {
  const c = p.proof?.counts;
  if (!c) return null;
  const word = c.short ? ('broken' as const) : c.late ? ('at risk' as const) : ('sound' as const);
  const times = `the ball is out after ${p.proof!.time.toFixed(1)} s`;
  return {
    word,
    says: c.short
      ? `short against ${c.short} of ${c.all} pressures; ${times}.`
      : c.late
        ? `nobody free, late against ${c.late} of ${c.all}; ${times}.`
        : `all ${c.all} pressures held; ${times}.`,
  };
});
const WORDS = { broken: 'Short', 'at risk': 'Late', sound: 'Holds' } as const;
</script>

<template>
  <header class="call">
    <div class="words" role="group" aria-label="Protection call">
      <span>Protect with</span>
      <WordSelect :value="p.call.scheme" :options="p.protections" label="Protection" filter @choose="protect($event)" />
      <span>to the</span>
      <WordSelect :value="p.call.side" :options="sides" label="Side" @choose="set({ side: $event as Side })" />
      <span>from</span>
      <WordSelect
        :value="p.call.formation"
        :options="formations"
        label="Formation"
        filter
        @choose="set({ formation: $event })"
      />
      <span>against</span>
      <WordSelect
        :value="p.call.front"
        :options="fronts"
        label="Front"
        filter
        @choose="set({ front: $event, mike: '' })"
      />
      <span>with the Mike</span>
      <WordSelect
        :value="p.call.mike"
        :options="mikes"
        label="Declared Mike"
        :placeholder="p.proof?.mike ?? 'nobody'"
        @choose="set({ mike: $event })"
      />
      <TagToggles v-if="p.tags.length" class="tags" :tags="p.tags" @toggle="p.switchTag($event)" />
    </div>
    <p v-if="verdict" class="verdict" :class="verdict.word.replace(' ', '-')">
      <VerdictShape :verdict="verdict.word" /><span
        ><b>{{ WORDS[verdict.word] }}:</b> {{ verdict.says }}</span
      >
    </p>
  </header>
</template>

<style scoped>
.call {
  display: flex;
  gap: 16px;
  align-items: center;
  justify-content: space-between;
  padding: 10px 20px;
  border-bottom: 1px solid var(--rule);
  min-height: 64px;
}
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 7px;
  align-items: center;
  font-size: 17px;
}
.verdict {
  display: flex;
  gap: 8px;
  max-width: 270px;
  font-size: 13.5px;
  align-items: start;
}
.broken b {
  color: var(--broken);
}
.at-risk b {
  color: var(--risk);
}
.sound b {
  color: var(--sound);
}
.tags {
  margin-left: 6px;
}
</style>
