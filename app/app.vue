<script setup lang="ts">
import { onMounted } from 'vue';
import { useTheme } from './features/session/theme';
import { keepForLater } from './offline/register';

useTheme();
onMounted(() => void keepForLater().catch(() => undefined));
</script>

<template>
  <NuxtLayout>
    <NuxtPage />
  </NuxtLayout>
</template>
