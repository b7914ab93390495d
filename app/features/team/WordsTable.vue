<script setup lang="ts">
import { computed, ref } from 'vue';
import { usePlaybook } from '~/features/playbook/store';
import type { ProgramBody } from '#core/model/program';
import { CALL_MEANINGS, CALL_SAYS, SHIPPED_CALL_WORDS, type CallMeaning } from '#core/model/call-words';

type Words = NonNullable<ProgramBody['callWords']>;
const emit = defineEmits<{ change: [words: Words] }>();
const playbook = usePlaybook();
const fresh = ref('');
const words = computed<Words>(
  () => playbook.program.callWords ?? { active: 'Everyday', sets: { Everyday: SHIPPED_CALL_WORDS } },
);
const names = computed(() => Object.keys(words.value.sets).sort((a, b) => a.localeCompare(b)));

const set = (name: string, meaning: CallMeaning, word: string): void =>
  emit('change', {
    ...words.value,
    sets: { ...words.value.sets, [name]: { ...words.value.sets[name]!, [meaning]: word } },
  });
function addSet(): void {
  const name = fresh.value.trim();
  if (!name || name in words.value.sets) return;
  fresh.value = '';
  emit('change', {
    active: words.value.active,
    sets: { ...words.value.sets, [name]: { ...words.value.sets[words.value.active]! } },
  });
}
</script>

<template>
  <section>
    <h2>Words at the line</h2>
    <table>
      <thead>
        <tr>
          <th scope="col">It means</th>
          <th v-for="n in names" :key="n" scope="col">
            <label
              ><input
                type="radio"
                name="week"
                :checked="n === words.active"
                @change="emit('change', { ...words, active: n })"
              />
              {{ n }}</label
            >
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="m in CALL_MEANINGS" :key="m">
          <th scope="row">{{ CALL_SAYS[m] }}</th>
          <td v-for="n in names" :key="n">
            <input
              v-typed
              :value="words.sets[n]![m]"
              maxlength="30"
              :aria-label="`${CALL_SAYS[m]}, ${n}`"
              @change="set(n, m, ($event.target as HTMLInputElement).value)"
            />
          </td>
        </tr>
      </tbody>
    </table>
    <form @submit.prevent="addSet">
      <input v-model="fresh" maxlength="30" placeholder="Week 6" aria-label="Name of another set" />
      <button class="plain link" type="submit">Another set of words</button>
    </form>
    <p class="soft">Words leak on film: keep a second set and mark the one in force this week.</p>
  </section>
</template>

<style scoped>
section {
  display: grid;
  gap: 6px;
  align-content: start;
}
table {
  border-collapse: collapse;
  border-top: 2px solid var(--ink);
}
th,
td {
  text-align: left;
  font-weight: 400;
  padding: 3px 8px 3px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 13px;
}
thead th {
  font-weight: 650;
}
input:not([type='radio']) {
  font: inherit;
  width: 118px;
  padding: 2px 6px;
  background: var(--sheet);
  color: var(--ink);
  border: 1px solid var(--rule);
  border-radius: 3px;
}
input[type='radio'] {
  accent-color: var(--violet);
}
form {
  display: flex;
  gap: 10px;
  align-items: center;
  font-size: 13px;
}
</style>
