<script setup lang="ts">
import { useSession } from '~/features/session/store';
import { useChanging } from './changing';
import NamingTable from './NamingTable.vue';
import TeamHead from './TeamHead.vue';
import WordsTable from './WordsTable.vue';

/** How this team says things: at the line, and by what names plays are called. */
const session = useSession();
const { problem, notice, change } = useChanging();
</script>

<template>
  <div class="place">
    <TeamHead
      title="How this team says it"
      says="Words count at once: on every board, in every log and on paper. Several sets can be kept, one is this week’s."
    />
    <p v-if="problem" class="page-problem" role="alert">{{ problem }}</p>
    <p v-if="notice" class="page-notice" role="status">{{ notice }}</p>
    <fieldset :disabled="!session.coach">
      <legend class="visually-hidden">The team’s words</legend>
      <WordsTable @change="(callWords) => change({ callWords }, `The words of “${callWords.active}” are in force.`)" />
      <NamingTable @change="(naming) => change({ naming }, 'Plays are called by these names now.')" />
    </fieldset>
  </div>
</template>

<style scoped>
fieldset {
  border: 0;
  margin: 0;
  padding: 14px 20px 40px;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 26px 40px;
  align-items: start;
  min-width: 0;
}
@media (max-width: 900px) {
  fieldset {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
