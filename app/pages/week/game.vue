<script setup lang="ts">
import NightPlace from '~/features/night/NightPlace.vue';
</script>

<template><NightPlace /></template>
