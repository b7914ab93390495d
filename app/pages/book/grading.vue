<script setup lang="ts">
import GradingPlace from '~/features/grading/GradingPlace.vue';
</script>

<template><GradingPlace /></template>
