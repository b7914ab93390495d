<script setup lang="ts">
import { useChanging } from '~/features/team/changing';
import WordsTable from '~/features/team/WordsTable.vue';

const { problem, change } = useChanging();
</script>

<template>
  <div>
    <p class="soft">What your men say to each other before the snap. These are ours; put yours in their place.</p>
    <p v-if="problem" class="problem" role="alert">{{ problem }}</p>
    <WordsTable @change="(callWords) => change({ callWords }, '')" />
  </div>
</template>

<style scoped>
.problem {
  color: var(--broken);
}
</style>
