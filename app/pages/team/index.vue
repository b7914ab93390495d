<script setup lang="ts">
import TeamPlace from '~/features/team/TeamPlace.vue';
</script>

<template><TeamPlace /></template>
