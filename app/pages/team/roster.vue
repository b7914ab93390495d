<script setup lang="ts">
import RosterPlace from '~/features/roster/RosterPlace.vue';
</script>

<template><RosterPlace /></template>
