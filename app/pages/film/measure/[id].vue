<script setup lang="ts">
import MeasurePlace from '~/features/measure/MeasurePlace.vue';

definePageMeta({ key: 'measure' });
</script>

<template><MeasurePlace /></template>
