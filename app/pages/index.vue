<script setup lang="ts">
await navigateTo('/walkthrough', { replace: true });
</script>

<template><div /></template>
