<script setup lang="ts">
import PaperPlace from '~/features/paper/PaperPlace.vue';
</script>

<template><PaperPlace /></template>
