<script setup lang="ts">
import { format } from 'date-fns';
import { computed, onMounted, ref, shallowRef } from 'vue';
import * as z from 'zod';
import { LeftManSchema, type LeftMan } from '#core/model/left';
import { KEEP_TIMES } from '#core/roster/keep-time';
import { usePlaybook } from '~/features/playbook/store';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';

/** How long the program knows whoever has left, and who that is. */
const playbook = usePlaybook();
const problem = ref('');
const attempt = attempting(problem);
const men = shallowRef<readonly LeftMan[]>([]);
const read = async (): Promise<void> => {
  men.value = z.array(LeftManSchema).parse(await request('/api/roster/left'));
};
onMounted(() => void attempt(read));

const chosen = computed({
  get: () => playbook.program.keepLeft ?? null,
  set: (keepLeft) =>
    void attempt(async () => {
      await playbook.changeProgram({ keepLeft });
      await read();
    }),
});
const nameOf = (months: number | null): string =>
  months === null
    ? 'when somebody erases it'
    : months % 12
      ? `${months} months after he left`
      : yearsAfter(months / 12);
const yearsAfter = (years: number): string => (years === 1 ? 'a year after he left' : `${years} years after he left`);
const day = (iso: string): string => format(new Date(iso), 'd MMM yyyy');
/** What becomes of one man. */
const sayOf = ({ left, due }: LeftMan): string => {
  const gone = `left on ${day(left)}`;
  if (due === null) return `${gone}, kept`;
  return new Date(due) <= new Date() ? `${gone}, erased tonight` : `${gone}, erased on ${day(due)}`;
};
</script>

<template>
  <section class="keeping" aria-label="How long records are kept">
    <h2>How long records are kept</h2>
    <p>
      <label>
        Of whoever has left, everything that says something of him goes
        <select v-model="chosen">
          <option v-for="months in KEEP_TIMES" :key="String(months)" :value="months">{{ nameOf(months) }}</option>
        </select>
      </label>
    </p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <ul v-if="men.length">
      <li v-for="m in men" :key="m.id">
        <b>{{ m.name }}</b> <span class="soft">{{ sayOf(m) }}</span>
      </li>
    </ul>
    <p v-else class="soft">Nobody has left.</p>
    <p class="soft">
      His name, notes on his marks, their history, what he asked and his account go; counts stay without a name. What
      your league, school or law asks you to keep or to delete comes first.
    </p>
  </section>
</template>

<style scoped>
.keeping {
  display: grid;
  gap: 4px;
}
.problem {
  color: var(--broken);
}
</style>
