<script setup lang="ts">
import { computed } from 'vue';
import { sayShown, shownFronts, type ShownFront } from '#core/film/log/shown';
import type { Cut } from '#core/film/log/cut';
import { useFilm } from './store';

/** What stands under the film of a game of theirs, where nobody is graded: what they show, counted from the log. */
const emit = defineEmits<{ cut: [cut: Cut] }>();
const film = useFilm();
const game = computed(() => film.games.find((g) => g.id === film.game) ?? null);
const title = computed(() => (game.value ? `What the ${game.value.opponent} show` : ''));
const intro = computed(() => (game.value ? sayShown(game.value, film.snaps.length) : ''));
const fronts = computed(() => shownFronts(film.snaps));
const isNow = ({ snaps }: ShownFront): boolean => film.snap !== null && snaps.includes(film.snap.number);
const say = ({ frontName, snaps }: ShownFront): string =>
  `Watch ${frontName}: ${snaps.length === 1 ? 'snap' : 'snaps'} ${snaps.join(', ')}`;
const DOWNS = ['1st', '2nd', '3rd, 4th'];
</script>

<template>
  <section class="shown" :aria-label="title">
    <h2>{{ title }}</h2>
    <p class="soft">{{ intro }}</p>
    <div class="scroller" tabindex="0" role="group" aria-label="Fronts they show">
      <table>
        <thead>
          <tr>
            <th scope="col">Front</th>
            <th scope="col">Snaps</th>
            <th v-for="d in DOWNS" :key="d" scope="col">{{ d }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="f in fronts" :key="f.frontName" :class="{ now: isNow(f) }">
            <th scope="row">
              <button
                class="plain link"
                type="button"
                :aria-label="say(f)"
                @click="emit('cut', { front: [f.frontName] })"
              >
                {{ f.frontName }}
              </button>
            </th>
            <td>
              <b>{{ f.snaps.length }}</b>
            </td>
            <td v-for="(n, i) in f.downs" :key="i" :class="{ none: n === 0 }">{{ n || '–' }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="film.snap" class="next">
      <NuxtLink class="in" :to="`/film/measure/${film.snap.id}`">Measure this front</NuxtLink>
      <NuxtLink class="in" :to="`/film/log/${film.game}`">Log what they show</NuxtLink>
      <NuxtLink class="in" to="/week/plan">To the week’s plan</NuxtLink>
    </p>
  </section>
</template>

<style scoped>
.shown {
  display: grid;
  gap: 6px;
  padding: 10px 0 0;
}
h2 {
  font-size: 16px;
}
.soft {
  max-width: 640px;
  font-size: 13px;
}
.scroller {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  font-variant-numeric: tabular-nums;
}
th,
td {
  padding: 3px 22px 3px 0;
  border-bottom: 1px solid var(--rule);
  text-align: left;
}
thead th {
  font-size: 12px;
  font-weight: 600;
}
tbody th {
  font-weight: 500;
  min-width: 220px;
}
.now th {
  box-shadow: inset 4px 0 0 var(--violet);
  padding-left: 10px;
}
.none {
  color: var(--soft);
}
.next {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
</style>
