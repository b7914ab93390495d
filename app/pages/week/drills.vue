<script setup lang="ts">
import DrillsPlace from '~/features/drills/DrillsPlace.vue';
</script>

<template><DrillsPlace /></template>
