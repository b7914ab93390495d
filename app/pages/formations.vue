<script setup lang="ts">
import FormationsPlace from '~/features/formations/FormationsPlace.vue';
</script>

<template><FormationsPlace /></template>
