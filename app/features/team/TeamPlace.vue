<script setup lang="ts">
import { computed, ref } from 'vue';
import { usePlaybook } from '~/features/playbook/store';
import { useSession } from '~/features/session/store';
import { RequestProblem } from '~/features/session/request';
import type { ProgramBody } from '#core/model/program';
import NamingTable from './NamingTable.vue';
import SettingsTable from './SettingsTable.vue';
import SpeedTable from './SpeedTable.vue';
import WordsTable from './WordsTable.vue';

const playbook = usePlaybook();
const session = useSession();
const problem = ref('');
const notice = ref('');
const coach = computed(() => session.member?.role === 'coach');

async function change(part: ProgramBody, said: string): Promise<void> {
  problem.value = '';
  notice.value = '';
  try {
    await playbook.changeProgram(part);
    notice.value = said;
  } catch (failure) {
    if (!(failure instanceof RequestProblem)) throw failure;
    problem.value = failure.message;
  }
}
</script>

<template>
  <div class="place">
    <header class="page-head">
      <h1>How this team says and sees it</h1>
      <p class="soft">
        {{
          coach
            ? 'Changes count at once, on every board and for every new snap. Grades given before keep what they were given against.'
            : 'The coach changes these.'
        }}
      </p>
    </header>
    <p v-if="problem" class="page-problem" role="alert">{{ problem }}</p>
    <p v-if="notice" class="page-notice" role="status">{{ notice }}</p>
    <fieldset :disabled="!coach">
      <legend class="visually-hidden">The team’s ways</legend>
      <div class="stack">
        <WordsTable
          @change="(callWords) => change({ callWords }, `The words of “${callWords.active}” are in force.`)"
        />
        <SpeedTable @change="(settings) => change({ settings }, 'The speeds are in force.')" />
      </div>
      <SettingsTable @change="(settings) => change({ settings }, 'The limits are in force.')" />
      <NamingTable @change="(naming) => change({ naming }, 'Plays are called by these names now.')" />
    </fieldset>
  </div>
</template>

<style scoped>
.stack {
  display: grid;
  gap: 26px;
  align-content: start;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 6px 20px 40px;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 26px 40px;
  min-width: 0;
}
@media (max-width: 900px) {
  fieldset {
    grid-template-columns: 1fr;
  }
}
</style>
