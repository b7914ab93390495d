<script setup lang="ts">
import RecordingPlace from '~/features/recording/RecordingPlace.vue';
</script>

<template><RecordingPlace /></template>
