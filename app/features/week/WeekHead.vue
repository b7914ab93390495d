<script setup lang="ts">
import { format, parseISO } from 'date-fns';
import { computed, onMounted, watch } from 'vue';
import { useSeason } from '~/features/season/store';
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
  { to: '/week/paper', name: 'Paper' },
  { to: '/week/game', name: 'Game night' },
  { to: '/week/close', name: 'Close' },
  { to: '/week/drills', name: 'Drills' },
] as const;
const wanted = computed(() => {
  const id = Number(route.query.game);
  return Number.isInteger(id) && id > 0 ? id : null;
});
onMounted(() => void week.open(wanted.value));
watch(wanted, (id) => void week.open(id));
const day = computed(() => (week.game?.playedOn ? format(parseISO(week.game.playedOn), 'EEE d MMM') : ''));
const choose = (event: Event): void =>
  void navigateTo({ query: { ...route.query, game: (event.target as HTMLSelectElement).value } });
</script>

<template>
  <header class="page-head">
    <nav aria-label="Week">
      <NuxtLink v-for="r in ROOMS" :key="r.to" :to="{ path: r.to, query: wanted ? { game: wanted } : {} }">{{
        r.name
      }}</NuxtLink>
      <span v-if="week.game" class="whose">
        <label
          >Week
          <select class="field" aria-label="Whose week" :value="week.game.id" @change="choose">
            <option v-for="g in season.schedule.games" :key="g.id" :value="g.id">{{ g.week }}, {{ g.opponent }}</option>
          </select></label
        >
        {{ day }}
      </span>
    </nav>
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
    <button v-else-if="week.week" class="plain link" type="button" @click="week.change('plan', week.bodies.plan)">
      Try again
    </button>
  </div>
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
.whose {
  margin-left: auto;
}
.page-problem button {
  margin-left: 12px;
}
</style>
