<script setup lang="ts">
import RulesPlace from '~/features/rules/RulesPlace.vue';
</script>

<template><RulesPlace /></template>
