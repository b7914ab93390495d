<script setup lang="ts">
import { useSession } from '~/features/session/store';

/** The head of the Team place, with the way to its rooms. */
defineProps<{ title: string; says: string }>();
const session = useSession();
const ROOMS: readonly { to: string; name: string; coach?: true; staff?: true }[] = [
  { to: '/team/roster', name: 'Roster' },
  { to: '/team/attendance', name: 'Who is here', staff: true },
  { to: '/team/people', name: 'People', coach: true },
  { to: '/team/season', name: 'Season' },
  { to: '/team', name: 'Our ways' },
  { to: '/team/words', name: 'Our words' },
  { to: '/team/record', name: 'Record', coach: true },
];
</script>

<template>
  <header class="page-head">
    <nav aria-label="Team">
      <NuxtLink
        v-for="r in ROOMS.filter((room) => (!room.coach || session.coach) && (!room.staff || session.staff))"
        :key="r.to"
        :to="r.to"
        >{{ r.name }}</NuxtLink
      >
    </nav>
    <h1>{{ title }}</h1>
    <p class="soft">{{ says }}</p>
  </header>
</template>

<style scoped>
nav {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  font-size: 13px;
  padding-bottom: 8px;
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
