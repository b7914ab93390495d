<script setup lang="ts">
import SeasonPlace from '~/features/season/SeasonPlace.vue';
</script>

<template><SeasonPlace /></template>
