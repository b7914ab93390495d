<script setup lang="ts">
import { onMounted } from 'vue';
import { sayNumber } from '#core/plan/say-number';
import { useRoster } from '~/features/roster/store';
import { useWeekRooms } from '~/features/week/rooms';
import { sayPlayOf } from './say-play';
import { usePlan } from './store';
import WeakPairs from './WeakPairs.vue';

/** What a coach would want to know of his plan before he does anything else: where it does not hold, and on whom most of it hangs. */
const { to } = useWeekRooms();
const plan = usePlan();
const roster = useRoster();
onMounted(() => void roster.open());
const SHOWN = 3;
const nameOf = (play: number): string => sayPlayOf(plan.plan.plays[play]!);
</script>

<template>
  <div v-if="plan.isReady" class="short">
    <WeakPairs v-if="plan.weak.length" :most="SHOWN" />
    <section v-if="plan.dearest.length" aria-label="On whom most of it hangs">
      <h2>On whom most of it hangs</h2>
      <ul>
        <li v-for="m in plan.dearest.slice(0, SHOWN)" :key="m.seat">
          <b>{{ m.seat }}</b>
          <NuxtLink
            :to="{ path: '/book', query: { by: 'phase', man: String(m.number.playerId), block: m.number.block } }"
            >{{ m.player.number }} {{ m.player.name }}</NuxtLink
          >
          <span>{{ sayNumber(m.number, nameOf) }}</span>
        </li>
      </ul>
    </section>
    <p><NuxtLink class="link" :to="to('/week/plan')">The whole plan</NuxtLink></p>
  </div>
</template>

<style scoped>
.short {
  padding-top: 26px;
}
.short > :deep(section) {
  padding: 0 0 18px;
  border-bottom: 0;
}
ul {
  list-style: none;
  padding: 0;
  margin: 4px 0;
}
li {
  display: grid;
  grid-template-columns: 28px minmax(0, 150px) minmax(0, 1fr);
  gap: 2px 12px;
  padding: 5px 0;
  border-bottom: 1px solid var(--rule);
  align-items: baseline;
  font-size: 13px;
}
li b {
  font-weight: 800;
}
@media (max-width: 760px) {
  li {
    grid-template-columns: 28px minmax(0, 1fr);
  }
  li > :last-child {
    grid-column: 2;
  }
}
</style>
