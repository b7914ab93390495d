<script setup lang="ts">
import ResultsPlace from '~/features/quiz/ResultsPlace.vue';
</script>

<template><ResultsPlace /></template>
