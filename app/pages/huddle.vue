<script setup lang="ts">
import HuddlePlace from '~/features/huddle/HuddlePlace.vue';
</script>

<template><HuddlePlace /></template>
