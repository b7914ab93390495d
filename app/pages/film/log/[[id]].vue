<script setup lang="ts">
import LogPlace from '~/features/log/LogPlace.vue';

definePageMeta({ key: 'log' });
</script>

<template><LogPlace /></template>
