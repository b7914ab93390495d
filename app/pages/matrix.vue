<script setup lang="ts">
import MatrixPlace from '~/features/matrix/MatrixPlace.vue';
</script>

<template><MatrixPlace /></template>
