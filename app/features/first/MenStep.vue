<script setup lang="ts">
import { onMounted } from 'vue';
import RosterText from '~/features/roster/RosterText.vue';
import { useRoster } from '~/features/roster/store';

const roster = useRoster();
onMounted(() => void roster.open());
</script>

<template>
  <div class="page-step">
    <p class="soft">Type them, or paste them from wherever they stand. Only the men who block are needed.</p>
    <p v-if="roster.problem" class="page-problem" role="alert">{{ roster.problem }}</p>
    <p v-if="roster.here.length" role="status">
      {{ roster.here.length }} men are on the roster: {{ roster.here.map((p) => `${p.number} ${p.name}`).join(', ') }}.
    </p>
    <RosterText />
  </div>
</template>
