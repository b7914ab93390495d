<script setup lang="ts">
import WaysStep from './WaysStep.vue';
</script>

<template><WaysStep group="see" :scheme="null" aliases /></template>
