<script setup lang="ts">
import FirstPlace from '~/features/first/FirstPlace.vue';
</script>

<template><FirstPlace /></template>
