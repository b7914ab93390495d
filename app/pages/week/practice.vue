<script setup lang="ts">
import PracticePlace from '~/features/practice/PracticePlace.vue';
</script>

<template><PracticePlace /></template>
