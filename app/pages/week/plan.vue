<script setup lang="ts">
import PlanPlace from '~/features/plan/PlanPlace.vue';
</script>

<template><PlanPlace /></template>
