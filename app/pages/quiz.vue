<script setup lang="ts">
import QuizPlace from '~/features/quiz/QuizPlace.vue';
</script>

<template><QuizPlace /></template>
