<script setup lang="ts">
import AsksPlace from '~/features/week/AsksPlace.vue';
</script>

<template><AsksPlace /></template>
