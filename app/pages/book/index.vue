<script setup lang="ts">
import BookPlace from '~/features/book/BookPlace.vue';
</script>

<template><BookPlace /></template>
