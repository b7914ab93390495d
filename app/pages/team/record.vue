<script setup lang="ts">
import RecordPlace from '~/features/record/RecordPlace.vue';
</script>

<template><RecordPlace /></template>
