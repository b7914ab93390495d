<script setup lang="ts">
import AccountPlace from '~/features/account/AccountPlace.vue';
</script>

<template><AccountPlace /></template>
