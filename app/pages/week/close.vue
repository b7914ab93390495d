<script setup lang="ts">
import ClosePlace from '~/features/close/ClosePlace.vue';
</script>

<template><ClosePlace /></template>
