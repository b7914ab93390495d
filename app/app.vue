<script setup lang="ts">
import { useTheme } from './features/session/theme';

useTheme();
</script>

<template>
  <NuxtLayout>
    <NuxtPage />
  </NuxtLayout>
</template>
