<script setup lang="ts">
import SheetsPlace from '~/features/sheets/SheetsPlace.vue';
</script>

<template><SheetsPlace /></template>
