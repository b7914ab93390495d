<script setup lang="ts">
import GlossaryPlace from '~/features/glossary/GlossaryPlace.vue';
</script>

<template><GlossaryPlace /></template>
