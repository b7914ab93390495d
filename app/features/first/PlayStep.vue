<script setup lang="ts">
import WaysStep from './WaysStep.vue';
</script>

<template><WaysStep group="play" scheme="power" /></template>
