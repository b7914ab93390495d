<script setup lang="ts">
import type { RouteLocationRaw } from 'vue-router';

/** The way between the rooms of a place; what stands in it beside them goes to its end. */
defineProps<{ label: string; rooms: readonly { key: string; name: string; to: RouteLocationRaw }[] }>();
</script>

<template>
  <nav :aria-label="label">
    <NuxtLink v-for="r in rooms" :key="r.key" :to="r.to">{{ r.name }}</NuxtLink>
    <slot />
  </nav>
</template>

<style scoped>
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  font-size: 13px;
  padding-bottom: 8px;
  align-items: baseline;
}
nav a {
  color: var(--soft);
  text-decoration: none;
  border-bottom: 2px solid transparent;
}
nav a.router-link-exact-active {
  color: var(--ink);
  font-weight: 650;
  border-color: var(--violet);
}
</style>
