<script setup lang="ts">
import MinePlace from '~/features/mine/MinePlace.vue';
</script>

<template><MinePlace /></template>
