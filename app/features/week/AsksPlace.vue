<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { format, parseISO } from 'date-fns';
import { computed, defineAsyncComponent, onMounted } from 'vue';
import { atRest } from '~/features/session/at-rest';
import { useAsks } from './asks';
import WeekHead from './WeekHead.vue';

/** What the week asks now: one thing a line, the one that holds everything up first, each leading to where it is done. */
/** What the plan comes to is worked out beside what there is to do. */
const PlanInShort = defineAsyncComponent(() => atRest().then(() => import('~/features/plan/PlanInShort.vue')));
const asks = useAsks();
onMounted(() => void asks.load());
const next = computed(() => asks.counts?.next ?? null);
const says = computed(() => {
  if (!next.value) return 'No game is ahead.';
  const day = next.value.playedOn ? ` on ${format(parseISO(next.value.playedOn), 'EEEE d MMMM')}` : '';
  return `Next: week ${next.value.week} against the ${next.value.opponent}${day}.`;
});
</script>

<template>
  <div class="place">
    <WeekHead title="What the week asks" :says="says" />
    <p v-if="asks.problem" class="page-problem" role="alert">{{ asks.problem }}</p>
    <div class="page-parts">
      <div>
        <section aria-label="To do">
          <ol v-if="asks.asks.length">
            <li v-for="(a, i) in asks.asks" :key="a.id">
              <span>{{ a.says }}</span>
              <NuxtLink :to="a.to" :class="i === 0 ? 'strong' : 'link'">{{ a.act }}</NuxtLink>
            </li>
          </ol>
          <p v-else-if="asks.counts" class="done">
            Nothing is open. <NuxtLink to="/walkthrough">Walk through the plays</NuxtLink> once more.
          </p>
        </section>
        <PlanInShort v-if="next" />
      </div>
      <div>
        <section v-if="next && next.days.length" aria-label="The days">
          <h2>Until the game</h2>
          <ul class="days">
            <li v-for="d in next.days" :key="d.day">
              <b>{{ format(parseISO(d.day), 'EEE d MMM') }}</b>
              <span :class="{ soft: d.lines === 0 }">{{
                d.lines ? `practice, ${d.lines} lines` : 'practice, not planned'
              }}</span>
            </li>
            <li v-if="next.playedOn">
              <b>{{ format(parseISO(next.playedOn), 'EEE d MMM') }}</b> <span>{{ next.opponent }}</span>
            </li>
          </ul>
        </section>
        <section v-if="asks.counts?.graded.length" aria-label="Grading">
          <h2>Games of the season</h2>
          <ul class="days">
            <li v-for="g in asks.counts.graded" :key="g.gameId">
              <b>{{ g.week }}</b>
              <NuxtLink :to="{ path: '/book', query: { by: 'man', game: g.gameId } }">{{ g.opponent }}</NuxtLink>
              <span class="soft">{{ g.snaps - g.ungraded }} of {{ howMany(g.snaps, 'snap') }} marked</span>
              <i aria-hidden="true"><i :style="{ width: `${(100 * (g.snaps - g.ungraded)) / g.snaps}%` }" /></i>
            </li>
          </ul>
        </section>
      </div>
    </div>
  </div>
</template>

<style scoped>
.page-parts {
  grid-template-columns: minmax(0, 1fr) 340px;
}
section + section {
  padding-top: 20px;
}
ol li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 4px 16px;
  align-items: baseline;
  padding: 9px 0;
  border-bottom: 1px solid var(--rule);
  font-size: 15px;
}
ol li:first-child span {
  font-weight: 650;
  font-size: 17px;
}
a.strong {
  text-decoration: none;
}
.days li {
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr) auto;
  gap: 2px 8px;
  padding: 6px 0;
  border-bottom: 1px solid var(--rule);
}
.days b {
  font-weight: 650;
}
.days > li > i {
  grid-column: 2 / -1;
  height: 4px;
  background: var(--rule);
}
.days i i {
  display: block;
  height: 100%;
  background: var(--sound);
}
.done {
  font-size: 16px;
}
</style>
