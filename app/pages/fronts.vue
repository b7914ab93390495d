<script setup lang="ts">
import FrontsPlace from '~/features/fronts/FrontsPlace.vue';
</script>

<template><FrontsPlace /></template>
