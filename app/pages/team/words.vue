<script setup lang="ts">
import WordsPlace from '~/features/team/WordsPlace.vue';
</script>

<template><WordsPlace /></template>
