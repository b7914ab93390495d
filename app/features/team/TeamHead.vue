<script setup lang="ts">
import { computed } from 'vue';
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
const rooms = computed(() =>
  ROOMS.filter((r) => (!r.coach || session.coach) && (!r.staff || session.staff)).map((r) => ({ ...r, key: r.to })),
);
</script>

<template>
  <header class="page-head">
    <RoomNav label="Team" :rooms="rooms" />
    <h1>{{ title }}</h1>
    <p class="soft">{{ says }}</p>
  </header>
</template>
