<script setup lang="ts">
import BeginPlace from '~/features/session/BeginPlace.vue';

definePageMeta({ layout: 'bare' });
</script>

<template><BeginPlace /></template>
