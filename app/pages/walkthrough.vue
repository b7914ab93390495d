<script setup lang="ts">
import WalkthroughPlace from '~/features/walkthrough/WalkthroughPlace.vue';
</script>

<template><WalkthroughPlace /></template>
