<script setup lang="ts">
import type { NuxtError } from '#app';

defineProps<{ error: NuxtError }>();
</script>

<template>
  <main class="lost">
    <h1>{{ error.statusCode === 404 ? 'There is nothing at this address.' : 'Something went wrong here.' }}</h1>
    <p>
      {{ error.statusCode === 404 ? 'It may be mistyped, or belong to another program.' : error.message }} Nothing was
      changed.
    </p>
    <button class="plain link" type="button" @click="clearError({ redirect: '/' })">Back to the walkthrough</button>
  </main>
</template>

<style scoped>
.lost {
  max-width: 520px;
  margin: 15vh auto;
  display: grid;
  gap: 10px;
  padding: 0 20px;
}
</style>
