<script setup lang="ts">
import PeoplePlace from '~/features/people/PeoplePlace.vue';
</script>

<template><PeoplePlace /></template>
