<script setup lang="ts">
import LinkPlace from '~/features/session/LinkPlace.vue';

definePageMeta({ layout: 'bare' });
</script>

<template><LinkPlace /></template>
