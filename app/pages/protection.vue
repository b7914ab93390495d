<script setup lang="ts">
import ProtectionPlace from '~/features/protection/ProtectionPlace.vue';
</script>

<template><ProtectionPlace /></template>
