<script setup lang="ts">
import FilmPlace from '~/features/film/FilmPlace.vue';

definePageMeta({ key: 'film' });
</script>

<template><FilmPlace /></template>
