<script setup lang="ts">
import BesidePlace from '~/features/beside/BesidePlace.vue';
</script>

<template><BesidePlace /></template>
