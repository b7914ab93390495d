<script setup lang="ts">
import ScriptsPlace from '~/features/script/ScriptsPlace.vue';
</script>

<template><ScriptsPlace /></template>
