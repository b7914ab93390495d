<script setup lang="ts">
import HuddleScreen from '~/features/huddle/HuddleScreen.vue';
</script>

<template><HuddleScreen /></template>
