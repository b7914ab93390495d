<script setup lang="ts">
import LogIn from '~/features/session/LogIn.vue';

definePageMeta({ layout: 'bare' });
</script>

<template><LogIn /></template>
