<script setup lang="ts">
import { computed, watch } from 'vue';
import RuleList from './RuleList.vue';
import RuleSheet from './RuleSheet.vue';
import { useRules } from './store';

const route = useRoute();
const rules = useRules();
const id = computed(() => (typeof route.params.id === 'string' && route.params.id ? route.params.id : null));
watch(
  id,
  (next) => {
    if (next !== null && (next !== rules.id || !rules.dirty)) rules.open(next);
  },
  { immediate: true },
);
onBeforeRouteLeave(() => !rules.dirty || window.confirm('This text is not saved. Leave it?'));
</script>

<template><RuleSheet v-if="id !== null" :key="id" /><RuleList v-else /></template>
