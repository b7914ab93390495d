<script setup lang="ts">
import { onMounted } from 'vue';
import RubricChoice from '~/features/grading/RubricChoice.vue';
import { useGrading } from '~/features/grading/store';

const grading = useGrading();
onMounted(() => void grading.loadSeason());
</script>

<template>
  <div class="page-step">
    <p v-if="grading.problem" class="page-problem" role="alert">{{ grading.problem }}</p>
    <RubricChoice />
    <p class="soft">A grade keeps the rubric it was given with, so you can change it during a season.</p>
  </div>
</template>
