<script setup lang="ts">
import { format } from 'date-fns';
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import * as z from 'zod';
import { LeftManSchema, type LeftMan } from '#core/model/left';
import { dueOn, KEEP_TIMES, sayKeepTime } from '#core/roster/keep-time';
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

const kept = computed(() => playbook.program.keepLeft ?? null);
/** What is being thought of: nothing is erased by looking through the list. */
const chosen = ref(kept.value);
watch(kept, (months) => (chosen.value = months));
/** It counts only once the server has it: until then the button stays. */
const isOnItsWay = ref(false);
async function keep(): Promise<void> {
  if (isOnItsWay.value) return;
  isOnItsWay.value = true;
  try {
    await attempt(() => playbook.changeProgram({ keepLeft: chosen.value }));
  } finally {
    isOnItsWay.value = false;
  }
}

const day = (date: Date): string => format(date, 'd MMM yyyy');
/** What becomes of one man with what is chosen. */
function sayOf(man: LeftMan): string {
  const left = new Date(man.left);
  const gone = `left on ${day(left)}`;
  if (chosen.value === null) return `${gone}, kept`;
  const due = dueOn(left, chosen.value);
  return due <= new Date() ? `${gone}, erased tonight` : `${gone}, erased on ${day(due)}`;
}
</script>

<template>
  <section class="keeping" aria-label="How long records are kept">
    <h2>How long records are kept</h2>
    <form @submit.prevent="keep">
      <label>
        What is known of whoever has left is kept
        <select v-model="chosen" class="field">
          <option v-for="months in KEEP_TIMES" :key="String(months)" :value="months">{{ sayKeepTime(months) }}</option>
        </select>
      </label>
      <button v-if="chosen !== kept || isOnItsWay" class="plain link" type="submit">Keep it so from now on</button>
    </form>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <ul v-if="men.length">
      <li v-for="m in men" :key="m.id">
        <b>{{ m.name }}</b> <span class="soft">{{ sayOf(m) }}</span>
      </li>
    </ul>
    <p v-else class="soft">Nobody has left.</p>
    <p class="soft">
      Then his name, notes on his marks, their history, what he asked and his account go; counts stay without a name.
      What your league, school or law asks you to keep or to delete comes first.
    </p>
  </section>
</template>

<style scoped>
.keeping {
  display: grid;
  gap: 4px;
}
form {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
}
.problem {
  color: var(--broken);
}
</style>
