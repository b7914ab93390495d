<script setup lang="ts">
import { format, parseISO } from 'date-fns';
import { computed, onMounted, watch } from 'vue';
import { useSeason } from '~/features/season/store';
import { useWeekRooms } from './rooms';
import { useWeek } from './store';

/** The head of the Week place: whose week it is, the way to its rooms, and what could not be kept. */
defineProps<{ title: string; says: string }>();
const week = useWeek();
const season = useSeason();
const route = useRoute();
const ROOMS = [
  { to: '/week', name: 'This week' },
  { to: '/week/plan', name: 'Plan' },
  { to: '/week/practice', name: 'Practice' },
  { to: '/week/scripts', name: 'Scripts' },
  { to: '/week/quiz', name: 'Quiz' },
  { to: '/week/huddle', name: 'Whole line' },
  { to: '/week/paper', name: 'Paper' },
  { to: '/week/game', name: 'Game night' },
  { to: '/week/close', name: 'Close' },
  { to: '/week/drills', name: 'Drills' },
] as const;
const { chosen, to } = useWeekRooms();
onMounted(() => void week.open(chosen.value));
watch(chosen, (id) => void week.open(id));
const rooms = computed(() => ROOMS.map((r) => ({ key: r.to, name: r.name, to: to(r.to) })));
const day = computed(() => (week.game?.playedOn ? format(parseISO(week.game.playedOn), 'EEE d MMM') : ''));
const choose = (event: Event): void =>
  void navigateTo({ query: { ...route.query, game: (event.target as HTMLSelectElement).value } });
</script>

<template>
  <header class="page-head">
    <RoomNav label="Week" :rooms="rooms">
      <span v-if="week.game" class="whose">
        <label
          >Week
          <select class="field" aria-label="Whose week" :value="week.game.id" @change="choose">
            <option v-for="g in season.schedule.games" :key="g.id" :value="g.id">{{ g.week }}, {{ g.opponent }}</option>
          </select></label
        >
        {{ day }}
      </span>
    </RoomNav>
    <h1>{{ title }}</h1>
    <p class="soft">{{ says }}</p>
  </header>
  <div v-if="week.problem" class="page-problem" role="alert">
    {{ week.problem }}
    <template v-if="week.stale">
      <button class="plain link" type="button" @click="week.settle('mine')">Mine stands</button>
      <button class="plain link" type="button" @click="week.settle('theirs')">
        Show {{ week.stale.by || 'the other' }}’s
      </button>
    </template>
    <button v-else-if="week.unwritten" class="plain link" type="button" @click="week.again()">Try again</button>
  </div>
  <p v-if="week.isOpen && !week.game" class="none">
    No game is in the schedule yet. <NuxtLink to="/team/season">Write down whom you play</NuxtLink> first.
  </p>
</template>

<style scoped>
.none {
  padding: 20px;
}
.whose {
  margin-left: auto;
}
.page-problem button {
  margin-left: 12px;
}
</style>
