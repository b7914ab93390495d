<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core';

/** A part of a place that is open or closed as it was left last on this machine, under `keptAs`; what is in it is drawn only while it is open. */
const props = defineProps<{ keptAs: string }>();
defineSlots<{ summary: () => unknown; default: () => unknown }>();

const isOpen = useLocalStorage(props.keptAs, false);
</script>

<template>
  <details :open="isOpen" @toggle="isOpen = ($event.target as HTMLDetailsElement).open">
    <summary><slot name="summary" /></summary>
    <slot v-if="isOpen" />
  </details>
</template>
