<script setup lang="ts">
import AgreementPlace from '~/features/grading/AgreementPlace.vue';
</script>

<template><AgreementPlace /></template>
