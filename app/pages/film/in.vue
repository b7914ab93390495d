<script setup lang="ts">
import FilmInPlace from '~/features/film-in/FilmInPlace.vue';
</script>

<template><FilmInPlace /></template>
