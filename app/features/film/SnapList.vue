<script setup lang="ts">
import { howMany } from '#core/vocabulary/how-many';
import { computed, ref, watch } from 'vue';
import { sayGame, sayWhose, type GameItem } from '#core/model/game';
import { isEmptyCut, type Cut } from '#core/film/log/cut';
import CutPanel from '~/features/cut/CutPanel.vue';
import { bestAndWorst } from '~/features/beside/extremes';
import SnapRow from './SnapRow.vue';
import { gradedCount, useFilm } from './store';

const emit = defineEmits<{ cut: [cut: Cut] }>();

const film = useFilm();
const list = ref<HTMLElement | null>(null);
const game = computed(() => film.games.find((g) => g.id === film.game) ?? null);
const done = computed(() => film.snaps.filter((s) => gradedCount(s) >= s.asked.length).length);

const nameOf = (g: GameItem): string => [g.season, sayGame(g, 'Week')].filter(Boolean).join(', ');
/** How far one is; of a game of theirs who plays whom, for which the list above has no room. */
const graded = computed(() => {
  const snaps = howMany(film.snaps.length, 'snap');
  if (film.theirs && game.value) return `${sayWhose(game.value)}: ${snaps}, nobody graded`;
  return `${snaps}, ${done.value} graded`;
});

/** The one man a cut is of. */
const man = computed(() => (film.cut.man?.length === 1 ? film.cut.man[0]! : null));
const extremes = computed(() => (man.value ? bestAndWorst(film.inCut, man.value) : null));

/** With the next picture: asked for before, the browser would lay out everything in the middle of its work. */
watch([() => film.snap?.id, () => film.snaps.length], () => {
  requestAnimationFrame(() => list.value?.querySelector('[aria-current]')?.scrollIntoView({ block: 'nearest' }));
});
</script>

<template>
  <aside aria-label="Snaps">
    <select
      v-if="film.games.length > 1"
      :value="film.game ?? ''"
      aria-label="Game"
      @change="film.openGame(Number(($event.target as HTMLSelectElement).value))"
    >
      <option v-for="g in film.games" :key="g.id" :value="g.id">{{ nameOf(g) }}</option>
    </select>
    <h2 v-else>{{ game ? nameOf(game) : 'Snaps' }}</h2>
    <p class="soft">{{ graded }}</p>
    <p class="ways">
      <NuxtLink to="/film/in">Bring film in</NuxtLink>
      <NuxtLink v-if="film.game" :to="`/film/log/${film.game}`">Log</NuxtLink>
    </p>
    <p v-if="film.changedProblem" class="soft">
      What would be worked out otherwise today is not known: {{ film.changedProblem }}
    </p>
    <details v-if="film.changed.length" class="changed">
      <summary class="link">{{ film.changed.length }} worked out otherwise today</summary>
      <p class="soft">The grades stand against what was asked then.</p>
      <ul>
        <li v-for="c in film.changed" :key="c.id">
          <NuxtLink :to="`/film/${c.id}`">{{ c.number }}</NuxtLink>
          <span class="soft">{{ c.why ?? c.men.join(', ') }}</span>
        </li>
      </ul>
    </details>
    <CutPanel :cut="film.cut" :snaps="film.snaps" :count="film.inCut.length" @change="emit('cut', $event)" />
    <p v-if="film.inCut.length && !isEmptyCut(film.cut)" class="soft">{{ film.inCut.length }} of them</p>
    <p v-if="extremes">
      <NuxtLink :to="{ path: '/film/beside', query: { one: extremes.best.id, two: extremes.worst.id, man: man! } }"
        >his best beside his worst</NuxtLink
      >
    </p>
    <ol ref="list">
      <SnapRow
        v-for="s in film.inCut"
        :key="s.id"
        :snap="s"
        :cut="film.cut"
        :is-open="s.id === film.snap?.id"
        :is-theirs="film.theirs !== null"
      />
    </ol>
  </aside>
</template>

<style scoped>
aside {
  border-left: 1px solid var(--rule);
  padding: 12px 0 0;
  font-size: 13px;
  min-height: 0;
  overflow: auto;
  /* What is marked beside it neither lays it out nor paints it anew. */
  contain: strict;
}
@media (max-width: 800px) {
  aside {
    contain: none;
  }
}
select {
  margin: 0 14px;
  max-width: calc(100% - 28px);
  font: inherit;
  font-weight: 700;
  color: var(--ink);
  background: var(--sheet);
  border: 0;
  border-bottom: 2px solid var(--violet);
}
h2,
p {
  padding: 0 14px;
}
.ways {
  display: flex;
  gap: 12px;
}
.changed {
  padding: 0 14px;
}
.changed p {
  padding: 0;
}
.changed li {
  display: flex;
  gap: 8px;
}
ol {
  padding: 8px 0;
}
</style>
