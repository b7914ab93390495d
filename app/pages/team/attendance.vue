<script setup lang="ts">
import AttendancePlace from '~/features/attendance/AttendancePlace.vue';
</script>

<template><AttendancePlace /></template>
