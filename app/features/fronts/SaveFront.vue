<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { hasErrors } from '#core/diagnostics/diagnostic';
import { usePlaybook } from '~/features/playbook/store';
import { useSession } from '~/features/session/store';
import { useFronts } from './store';

const fronts = useFronts();
const playbook = usePlaybook();
const session = useSession();
const name = ref('');
const opponent = ref('');
watch(
  () => fronts.id,
  () => {
    name.value = fronts.document ? fronts.name : '';
    opponent.value = fronts.document?.opponent ?? '';
  },
  { immediate: true },
);
/** The short name follows from the name. */
const short = computed(() =>
  name.value
    .trim()
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, ''),
);
const wrong = computed(() => hasErrors(fronts.diagnostics));
const opponents = computed(() => [
  ...new Set(playbook.fronts.map((f) => f.opponent).filter((o): o is string => o !== null && o !== '')),
]);
const retire = (): Promise<boolean> =>
  fronts.attempt(async () => {
    await playbook.shelve(fronts.document!, { retired: true });
    fronts.open('over');
  });
</script>

<template>
  <form
    v-if="session.member?.role === 'coach'"
    @submit.prevent="fronts.save(short, name.trim(), opponent.trim() || null)"
  >
    <h2>Keep it</h2>
    <label>Name <input v-model="name" required maxlength="60" placeholder="Otters, wide over" /></label>
    <label>Opponent <input v-model="opponent" maxlength="60" list="opponents" placeholder="whose front it is" /></label>
    <datalist id="opponents"><option v-for="o in opponents" :key="o" :value="o" /></datalist>
    <p>
      <button class="plain link" type="submit" :disabled="wrong || !short">
        {{ playbook.own('fronts', short) ? 'Save over it' : 'Save' }}
      </button>
      <button v-if="fronts.document" class="plain link" type="button" @click="retire">Retire</button>
    </p>
  </form>
</template>

<style scoped>
form {
  display: grid;
  gap: 6px;
  padding-top: 8px;
  border-top: 1px solid var(--rule);
}
label {
  display: grid;
  grid-template-columns: 74px 1fr;
  align-items: center;
  color: var(--soft);
}
input {
  font: inherit;
  padding: 2px 7px;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--soft);
  border-radius: 3px;
  min-width: 0;
}
p {
  display: flex;
  gap: 14px;
}
button:disabled {
  opacity: 0.45;
  cursor: default;
}
</style>
