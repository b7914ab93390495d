<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { Side } from '#core/model/side';
import { usePlaybook } from '~/features/playbook/store';
import { usePlan } from './store';

/** One more play for the week, from its usual formation unless another is said. */
const plan = usePlan();
const playbook = usePlaybook();
const scheme = ref(playbook.schemes[0]?.id ?? '');
const side = ref<Side>('right');
const usual = computed(() => playbook.schemes.find((e) => e.id === scheme.value)?.from ?? 'five-man');
const formation = ref(usual.value);
watch(usual, (id) => void (formation.value = id));
const isThere = computed(() => {
  const text = playbook.book.clauses('formations', formation.value);
  return plan.plan.plays.some((p) => p.scheme === scheme.value && p.side === side.value && p.formation === text);
});

async function add(): Promise<void> {
  const { book } = playbook;
  await plan.addPlay({
    ...{ scheme: scheme.value, side: side.value, tags: [], times: 4 },
    formation: book.clauses('formations', formation.value),
    formationName: book.name('formations', formation.value),
  });
}
</script>

<template>
  <form aria-label="One more play" @submit.prevent="add">
    <span>We call</span>
    <select v-model="scheme" class="field" aria-label="Play">
      <optgroup v-for="g in playbook.plays" :key="g.family" :label="g.family">
        <option v-for="p in g.items" :key="p.id" :value="p.id">{{ p.name }}</option>
      </optgroup>
    </select>
    <select v-model="side" class="field" aria-label="Side">
      <option>left</option>
      <option>right</option>
    </select>
    <span>from</span>
    <select v-model="formation" class="field" aria-label="Formation">
      <option v-for="f in playbook.formations" :key="f.id" :value="f.id">{{ f.name }}</option>
    </select>
    <button class="strong" type="submit" :disabled="isThere">{{ isThere ? 'is in the plan' : 'Put it in' }}</button>
  </form>
</template>

<style scoped>
form {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 8px;
  align-items: baseline;
}
</style>
